import {
  CAUTIONS,
  CHANGING_STAGES,
  LASTING_OBSTACLES,
  STYLES,
  VOICE_TYPES,
  ZONE_KINDS,
  type AvoidZone,
  type Caution,
  type ChangingStage,
  type LastingObstacle,
  type RuleChanges,
  type Style,
  type VoiceType,
} from '@soft-lark/core';
import { Choice, Choices, Day, Flag, Part, Parts, Pitch, Real, Text, Texts, Whole } from '../../common/index.ts';
import { Approach, RuleFigures } from '../../studios/index.ts';

/** A closed interval of notes, MIDI. */
export class NoteRangeDto {
  @Pitch()
  low!: number;

  @Pitch()
  high!: number;
}

export class MeasuredRangeDto extends NoteRangeDto {
  @Pitch({ optional: true })
  reachLow?: number;

  @Pitch({ optional: true })
  reachHigh?: number;

  @Day()
  date!: string;
}

export class AvoidZoneDto extends NoteRangeDto {
  @Choice(ZONE_KINDS)
  kind!: AvoidZone['kind'];

  @Real(0.1, 60, { optional: true })
  seconds?: number;
}

export class BridgeDto extends NoteRangeDto {
  @Day({ optional: true })
  date?: string;
}

export class VoiceFileDto {
  @Choice(VOICE_TYPES)
  type!: VoiceType;

  @Whole(4, 120, { optional: true })
  age?: number;

  @Choice(CHANGING_STAGES, { optional: true })
  changingStage?: ChangingStage;

  @Choice(STYLES)
  style!: Style;

  @Choices(STYLES, { optional: true })
  otherStyles?: Style[];

  @Texts(20, 120)
  goals!: string[];

  @Pitch({ optional: true })
  speakingNote?: number;

  @Parts(() => BridgeDto, 4)
  bridges!: BridgeDto[];

  @Part(() => MeasuredRangeDto, { optional: true })
  measured?: MeasuredRangeDto;

  @Pitch({ optional: true })
  hardFloor?: number;

  @Pitch({ optional: true })
  hardCeiling?: number;

  @Pitch({ optional: true })
  beltCeiling?: number;

  @Whole(0, 4, { optional: true })
  margin?: number;

  @Parts(() => AvoidZoneDto, 12)
  avoid!: AvoidZoneDto[];

  /** The teacher's own decision for a singer of sixteen or seventeen. */
  @Flag({ optional: true })
  gritAllowed?: boolean;

  /** Missing notes inside the range. */
  @Parts(() => NoteRangeDto, 12, { optional: true })
  gaps?: NoteRangeDto[];

  @Text({ min: 0, max: 400, lines: true, optional: true })
  wanted?: string;

  @Text({ min: 0, max: 200, optional: true })
  piece?: string;

  @Choices(CAUTIONS, { optional: true })
  cautions?: Caution[];

  /** What stands in the way for good. */
  @Choices(LASTING_OBSTACLES, { optional: true })
  obstacles?: LastingObstacle[];

  /** A doctor's clearance: the day, no diagnosis. */
  @Day({ optional: true })
  clearedOn?: string;

  @Day({ optional: true })
  beltEaseOn?: string;

  @Day({ optional: true })
  holdsOnSince?: string;

  @Day({ optional: true })
  consentOn?: string;

  @Approach({ optional: true })
  approach?: Record<string, string>;

  @RuleFigures({ optional: true })
  rules?: RuleChanges;
}
