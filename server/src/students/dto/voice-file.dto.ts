import type { AvoidZone, ChangingStage, Style, VoiceType } from '@soft-lark/core';
import { Choice, Day, Part, Parts, Pitch, Real, Texts, Whole } from '../../common/index.ts';

const TYPES = [
  'soprano',
  'mezzo-soprano',
  'contralto',
  'countertenor',
  'tenor',
  'baritone',
  'bass-baritone',
  'bass',
  'treble',
  'changing',
];
const CHANGING = ['first', 'second', 'third', 'new', 'settling', 'early', 'peak', 'young-adult'];
const STYLES = ['classical', 'theatre', 'pop', 'jazz', 'folk', 'choral', 'heavy'];

export class MeasuredRangeDto {
  @Pitch()
  low!: number;

  @Pitch()
  high!: number;

  @Pitch({ optional: true })
  reachLow?: number;

  @Pitch({ optional: true })
  reachHigh?: number;

  @Day()
  date!: string;
}

export class AvoidZoneDto {
  @Pitch()
  low!: number;

  @Pitch()
  high!: number;

  @Choice(['never-sounded', 'not-held', 'not-loud', 'not-heavy'])
  kind!: AvoidZone['kind'];

  @Real(0.1, 60, { optional: true })
  seconds?: number;
}

export class BridgeDto {
  @Pitch()
  low!: number;

  @Pitch()
  high!: number;

  @Day({ optional: true })
  date?: string;
}

export class VoiceFileDto {
  @Choice(TYPES)
  type!: VoiceType;

  @Whole(4, 120, { optional: true })
  age?: number;

  @Choice(CHANGING, { optional: true })
  changingStage?: ChangingStage;

  @Choice(STYLES)
  style!: Style;

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
}
