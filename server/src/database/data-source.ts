import { DataSource, type DataSourceOptions } from 'typeorm';
import { CorrectedRuns1767400000000 } from './migrations/1767400000000-corrected-runs.ts';
import { AdviceThatLasts1767500000000 } from './migrations/1767500000000-advice-that-lasts.ts';
import { WordsOfTheLog1767600000000 } from './migrations/1767600000000-words-of-the-log.ts';
import { LessonsOverVideo1767700000000 } from './migrations/1767700000000-lessons-over-video.ts';
import { First1764000000000 } from './migrations/1764000000000-first.ts';
import { KnowTheVoice1764600000000 } from './migrations/1764600000000-know-the-voice.ts';
import { OwnExercises1764700000000 } from './migrations/1764700000000-own-exercises.ts';
import { Mutes1765000000000 } from './migrations/1765000000000-mutes.ts';
import { RoutineKinds1765100000000 } from './migrations/1765100000000-routine-kinds.ts';
import { StepResults1766600000000 } from './migrations/1766600000000-step-results.ts';
import { OwnOverlays1766700000000 } from './migrations/1766700000000-own-overlays.ts';
import { StudioClock1766800000000 } from './migrations/1766800000000-studio-clock.ts';
import { StudioKeys1766500000000 } from './migrations/1766500000000-studio-keys.ts';
import { Walls1766400000000 } from './migrations/1766400000000-walls.ts';
import { WhatListsNeed1766300000000 } from './migrations/1766300000000-what-lists-need.ts';
import { TemplatesAndGroups1765200000000 } from './migrations/1765200000000-templates-and-groups.ts';
import { RoutineOfTheDay1766900000000 } from './migrations/1766900000000-routine-of-the-day.ts';
import { RoutinesOfGroups1767000000000 } from './migrations/1767000000000-routines-of-groups.ts';
import { BackupsKept1767300000000 } from './migrations/1767300000000-backups-kept.ts';
import { AnswersToAdvice1767200000000 } from './migrations/1767200000000-answers-to-advice.ts';
import { PracticeAtHome1767100000000 } from './migrations/1767100000000-practice-at-home.ts';
import { RoutineVersions1764900000000 } from './migrations/1764900000000-routine-versions.ts';
import { SongsAndVersions1764800000000 } from './migrations/1764800000000-songs-and-versions.ts';

/** House choice: an answer that takes longer is worth nothing to whoever waits, and holds up everybody else. */
const STATEMENT_TIMEOUT_MS = 10_000;

/**
 * Where the database is; its tables are made by migrations alone, each feature brings its own entities.
 *
 * @param statementTimeoutMs after so long a statement is given up; 0 for migrations, which take what they need
 */
export function dataSourceOptions(url: string, statementTimeoutMs = STATEMENT_TIMEOUT_MS): DataSourceOptions {
  return {
    type: 'postgres',
    url,
    migrations: [
      First1764000000000,
      KnowTheVoice1764600000000,
      OwnExercises1764700000000,
      SongsAndVersions1764800000000,
      RoutineVersions1764900000000,
      Mutes1765000000000,
      RoutineKinds1765100000000,
      TemplatesAndGroups1765200000000,
      WhatListsNeed1766300000000,
      Walls1766400000000,
      StudioKeys1766500000000,
      StepResults1766600000000,
      OwnOverlays1766700000000,
      StudioClock1766800000000,
      RoutineOfTheDay1766900000000,
      RoutinesOfGroups1767000000000,
      PracticeAtHome1767100000000,
      AnswersToAdvice1767200000000,
      BackupsKept1767300000000,
      CorrectedRuns1767400000000,
      AdviceThatLasts1767500000000,
      WordsOfTheLog1767600000000,
      LessonsOverVideo1767700000000,
    ],
    migrationsTransactionMode: 'each',
    synchronize: false,
    extra: {
      max: 12,
      connectionTimeoutMillis: 4000,
      idleTimeoutMillis: 30_000,
      statement_timeout: statementTimeoutMs,
    },
  };
}

/** A data source outside the application, for migrations and tests. */
export function dataSource(url: string): DataSource {
  return new DataSource(dataSourceOptions(url, 0));
}
