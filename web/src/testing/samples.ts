import { shippedExercises } from '@soft-lark/core';
import type { Schemas } from '../api/client.ts';
import type { Answers } from './fake-api.ts';

export const STUDENT = '01920000-0000-7000-8000-000000000001';
export const OTHER_STUDENT = '01920000-0000-7000-8000-000000000002';
export const ROUTINE = '01920000-0000-7000-8000-00000000000a';
export const RUN = '01920000-0000-7000-8000-0000000000f1';
const LESSON = '01920000-0000-7000-8000-0000000000e1';

/** A name as long as names get. */
export const LONG_NAME = 'Wilhelmina Featherstonehaugh-Cholmondeley';

export function session(change: Partial<Schemas['SessionDto']> = {}): Schemas['SessionDto'] {
  return {
    studioId: '01920000-0000-7000-8000-0000000000ff',
    name: 'Ida Tern',
    email: 'ida@example.org',
    studioName: 'Tern Lock',
    timeZone: 'Europe/London',
    isDemo: false,
    approach: {},
    rules: {},
    noteNaming: { scheme: 'scientific', spelling: 'usual', middleDo: 4 },
    readyQuestions: [],
    ownOverlays: [],
    clock: '24',
    usualMinutes: 10,
    backupsKept: 7,
    fixedNow: '2026-11-25T15:18:00Z',
    today: '2026-11-25',
    ...change,
  };
}

export function studio(change: Partial<Schemas['StudioDto']> = {}): Schemas['StudioDto'] {
  const { timeZone, approach, rules, noteNaming, readyQuestions, ownOverlays, clock, usualMinutes, backupsKept } =
    session();
  return {
    name: 'Tern Lock',
    timeZone,
    approach,
    rules,
    noteNaming,
    readyQuestions,
    ownOverlays,
    clock,
    usualMinutes,
    backupsKept,
    version: 1,
    ...change,
  };
}

export function voice(change: Partial<Schemas['VoiceFile']> = {}): Schemas['VoiceFile'] {
  return {
    type: 'mezzo-soprano',
    age: 34,
    style: 'theatre',
    goals: ['bridge'],
    bridges: [{ low: 64, high: 65 }],
    measured: { low: 57, high: 76, reachLow: 55, reachHigh: 79, date: '2026-11-03' },
    avoid: [],
    ...change,
  };
}

export function student(change: Partial<Schemas['StudentDto']> = {}): Schemas['StudentDto'] {
  return { id: STUDENT, name: 'Maud Pellow', note: '', voice: voice(), version: 3, known: [], ...change };
}

export function step(exerciseId: string, change: Partial<Schemas['RoutineStep']> = {}): Schemas['RoutineStep'] {
  return { id: `01920000-0000-7000-9000-${hex(exerciseId)}`, exerciseId, settings: {}, ...change };
}

/** Twelve hexadecimal digits that belong to a word. */
function hex(word: string): string {
  const sum = Array.from(word).reduce((all, sign) => (Math.imul(all, 31) + (sign.codePointAt(0) ?? 0)) >>> 0, 7);
  return sum.toString(16).padStart(12, '0');
}

export function routine(change: Partial<Schemas['RoutineDto']> = {}): Schemas['RoutineDto'] {
  return {
    id: ROUTINE,
    studentId: STUDENT,
    name: 'Warm-up',
    kind: 'lesson',
    minutes: 10,
    version: 1,
    updatedAt: '2026-11-24T10:00:00Z',
    steps: ['long-hiss', 'lip-trill-on-five', 'up-and-down-five', 'falling-hum'].map((id) => step(id)),
    ...change,
  };
}

export function studentToday(change: Partial<Schemas['StudentTodayDto']> = {}): Schemas['StudentTodayDto'] {
  return {
    student: student(),
    conditions: [],
    routine: routine(),
    practised: null,
    lastRun: null,
    lock: null,
    breathOff: false,
    advised: [],
    painOn: null,
    holdsOff: false,
    changeSince: null,
    checkDueInDays: null,
    ...change,
  };
}

export function lessonToday(change: Partial<Schemas['LessonTodayDto']> = {}): Schemas['LessonTodayDto'] {
  return {
    ...studentToday(),
    lesson: { id: LESSON, studentId: STUDENT, weekday: 3, startsAt: '15:30', minutes: 30 },
    ...change,
  };
}

export function runSummary(change: Partial<Schemas['RunSummaryDto']> = {}): Schemas['RunSummaryDto'] {
  return {
    id: RUN,
    studentId: STUDENT,
    studentName: 'Maud Pellow',
    routineId: ROUTINE,
    routineName: 'Warm-up',
    startedAt: '2026-11-18T15:32:00Z',
    endedAt: '2026-11-18T15:41:00Z',
    atHome: false,
    conditions: [],
    ease: 4,
    note: '',
    plannedKeys: 20,
    sungKeys: 18,
    lowest: 57,
    highest: 74,
    marks: [],
    ...change,
  };
}

const shelf = shippedExercises();

/** A studio with one student, one routine and the shelf that ships; nothing else. */
export function usualAnswers(): Answers {
  const today = studentToday();
  return {
    'GET /api/session': session(),
    'GET /api/exercises': shelf,
    'GET /api/students': [student()],
    [`GET /api/students/${STUDENT}/today`]: today,
    [`GET /api/students/${STUDENT}/progress`]: {
      ranges: [],
      weeks: [],
      stages: [],
      stoodStill: [],
      notes: [],
      ease: [],
      courses: [],
    },
    [`GET /api/students/${STUDENT}/history`]: { stuck: [], ease: [], results: [], lastSung: [], runsOf: [] },
    [`GET /api/students/${STUDENT}/advice`]: [],
    [`GET /api/students/${STUDENT}/range-checks`]: [],
    [`GET /api/students/${STUDENT}/locks`]: [],
    [`GET /api/students/${STUDENT}/belt-evidence`]: { ceiling: null, easyDays: [], hardDays: [], isEnough: false },
    'GET /api/today': { day: '2026-11-25', lessons: [lessonToday()] },
    [`GET /api/routines/${ROUTINE}`]: routine(),
    [`GET /api/routines/${ROUTINE}/versions`]: [],
    'GET /api/routines': [routine()],
    'GET /api/lessons': [],
    'GET /api/groups': [],
    'GET /api/songs': [],
    'GET /api/songs/unreadable': [],
    'GET /api/exercises/unreadable': [],
    'GET /api/students/unreadable': [],
    'GET /api/routines/unreadable': [],
    'GET /api/templates/unreadable': [],
    'GET /api/templates': [],
    'GET /api/mutes': [],
    'GET /api/collections': [],
    'GET /api/exercises/imports': [],
    'GET /api/runs': [],
    'GET /api/runs/last': [],
    'GET /api/account/sessions': [],
    'GET /api/studio': studio(),
    'GET /api/studio/backups': { isOn: true, isBeingMade: false, share: 0, trouble: null, backups: [] },
  };
}
