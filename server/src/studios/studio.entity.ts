import type { ClockHours, NoteNaming, OwnOverlay, ReadyQuestion, RuleChanges } from '@soft-lark/core';
import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';

@Entity('studio')
export class Studio {
  @PrimaryColumn('uuid')
  id!: string;

  @Column('text')
  name!: string;

  @Column('text', { name: 'time_zone' })
  timeZone!: string;

  /** The made-up studio that anyone may open. */
  @Column('boolean', { name: 'is_demo' })
  isDemo!: boolean;

  /** Answers to the questions on which schools differ. */
  @Column('jsonb')
  approach!: Record<string, string>;

  /** Figures of the rule table the studio has set, by row. */
  @Column('jsonb')
  rules!: RuleChanges;

  /** How notes are named on every screen. */
  @Column('jsonb', { name: 'note_naming' })
  noteNaming!: Required<NoteNaming>;

  /** Asked before the cool-down; nothing is asked where there are none. */
  @Column('jsonb', { name: 'ready_questions' })
  readyQuestions!: ReadyQuestion[];

  /** Laid over steps, besides what is shipped. */
  @Column('jsonb', { name: 'own_overlays' })
  ownOverlays!: OwnOverlay[];

  /** Whether times are written with 12 hours or with 24. */
  @Column('text')
  clock!: ClockHours;

  /** Minutes of a warm-up where nothing else is said. */
  @Column('integer', { name: 'usual_minutes' })
  usualMinutes!: number;

  /** Nightly backups that are kept on this machine; 0 makes none. */
  @Column('integer', { name: 'backups_kept' })
  backupsKept!: number;

  @Column('integer')
  version!: number;

  @CreateDateColumn({ name: 'created_at', type: 'timestamptz' })
  createdAt!: Date;
}
