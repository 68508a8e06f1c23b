// Source: made up for the demo; no real person, place or song. Pitches MIDI.
import type { RoutineKind, StepSettings, VoiceFile } from '@soft-lark/core';

export const TERN_LOCK = {
  studioName: 'Tern Lock',
  teacher: 'Ottoline Marsh',
  email: 'ottoline@tern-lock.example',
  timeZone: 'Europe/London',
};

type DemoStep = string | readonly [string, StepSettings];

export interface DemoStudent {
  readonly name: string;
  readonly note: string;
  /** `measured` is dated so many days before the filling. */
  readonly measuredDaysAgo: number;
  readonly voice: VoiceFile;
  /** Range checks before the measured one: days ago, low, high, furthest low and high. */
  readonly earlierChecks?: readonly (readonly [number, number, number, number, number])[];
  /** Weekday (Monday is 1), time, minutes. */
  readonly lessons: readonly (readonly [number, string, number])[];
  readonly routine?: {
    readonly name: string;
    readonly minutes: number;
    readonly kind: RoutineKind;
    readonly steps: readonly DemoStep[];
  };
}

const range = (low: number, high: number, reachLow: number, reachHigh: number): NonNullable<VoiceFile['measured']> => ({
  low,
  high,
  reachLow,
  reachHigh,
  date: '2026-11-03',
});

export const DEMO_STUDENTS: readonly DemoStudent[] = [
  {
    name: 'Pip Anstey',
    note: 'Sails on Thursdays. Likes anything with an echo in it.',
    measuredDaysAgo: 19,
    voice: {
      type: 'treble',
      age: 11,
      style: 'folk',
      goals: ['pitch'],
      speakingNote: 62,
      bridges: [{ low: 65, high: 67 }],
      avoid: [],
      measured: range(59, 74, 57, 77),
      hardCeiling: 76,
    },
    lessons: [
      [1, '15:00', 30],
      [3, '15:00', 30],
      [6, '10:00', 30],
    ],
    routine: {
      name: 'Small boats',
      minutes: 7,
      kind: 'lesson',
      steps: [
        'shoulder-rolls',
        ['long-hiss', { repeats: 2 }],
        'lip-trill-glides',
        'little-steps',
        'down-from-five',
        'falling-hum',
      ],
    },
  },
  {
    name: 'Maud Pellow',
    note: 'Comes off night shifts. Talks all night, so start low and small.',
    measuredDaysAgo: 22,
    earlierChecks: [
      [81, 57, 74, 55, 77],
      [52, 58, 75, 55, 78],
    ],
    voice: {
      type: 'mezzo-soprano',
      age: 41,
      style: 'theatre',
      goals: ['bridge', 'breath-length', 'ease'],
      speakingNote: 59,
      bridges: [{ low: 64, high: 65 }],
      avoid: [],
      measured: range(57, 76, 55, 79),
    },
    lessons: [
      [1, '15:30', 45],
      [3, '15:30', 45],
      [5, '15:30', 45],
    ],
    routine: {
      name: 'Before the late shift',
      minutes: 12,
      kind: 'lesson',
      steps: [
        'standing-check',
        ['low-wide-breath', { repeats: 4 }],
        ['long-hiss', { repeats: 2 }],
        ['lip-trill-on-five', { maxKeys: 4 }],
        'straw-slides',
        ['hum-on-the-chord', { maxKeys: 4 }],
        ['down-from-five', { travel: 'fall', start: 66, maxKeys: 7 }],
        ['thirds', { maxKeys: 4 }],
        ['from-light-down', { maxKeys: 5 }],
        ['falling-hum', { maxKeys: 5 }],
      ],
    },
  },
  {
    name: 'Corwin Dace',
    note: 'Lock-keeper. Wants the low D for the Lantern Regatta.',
    measuredDaysAgo: 96,
    voice: {
      type: 'bass',
      age: 52,
      style: 'folk',
      goals: ['range-down', 'line'],
      piece: 'Three turns of the windlass',
      speakingNote: 43,
      bridges: [{ low: 56, high: 57 }],
      avoid: [],
      measured: range(40, 62, 38, 65),
    },
    lessons: [
      [1, '16:15', 30],
      [3, '16:15', 30],
      [4, '15:00', 30],
    ],
    routine: {
      name: 'Low water',
      minutes: 9,
      kind: 'lesson',
      steps: [
        'shoulder-rolls',
        ['long-hiss', { repeats: 2 }],
        ['z-on-five', { maxKeys: 4 }],
        'round-to-open',
        ['down-from-five', { maxKeys: 6 }],
        ['chord-up-and-down', { maxKeys: 4 }],
        'falling-hum',
      ],
    },
  },
  {
    name: 'Tamsin Orrock',
    note: 'Sings a high programme on Saturday: nothing new from now on.',
    measuredDaysAgo: 12,
    earlierChecks: [
      [75, 60, 79, 58, 83],
      [40, 60, 80, 58, 84],
    ],
    voice: {
      type: 'soprano',
      age: 29,
      style: 'classical',
      goals: ['legato', 'range-up', 'agility'],
      piece: 'Lanterns on the water',
      speakingNote: 62,
      bridges: [
        { low: 63, high: 64 },
        { low: 78, high: 79 },
      ],
      avoid: [],
      measured: range(60, 81, 58, 84),
    },
    lessons: [
      [2, '16:45', 45],
      [3, '16:45', 30],
      [5, '16:45', 45],
    ],
    routine: {
      name: 'Light before Saturday',
      minutes: 14,
      kind: 'lesson',
      steps: [
        'standing-check',
        ['low-wide-breath', { repeats: 4 }],
        'lip-trill-glides',
        ['lip-trill-on-five', { maxKeys: 6 }],
        ['five-vowels-one-corridor', { maxKeys: 5 }],
        ['up-and-down-five', { maxKeys: 7 }],
        ['chord-up-and-down', { maxKeys: 5, step: 2 }],
        ['octave-and-a-third', { maxKeys: 5 }],
        ['five-fast-twice', { maxKeys: 5 }],
        ['slow-phrase', { maxKeys: 4 }],
        'falling-hum',
      ],
    },
  },
  {
    name: 'Idris Fallow',
    note: 'Thirteen; the voice is on the move. Measure again soon.',
    measuredDaysAgo: 9,
    earlierChecks: [
      [66, 60, 71, 57, 74],
      [37, 59, 70, 56, 72],
    ],
    voice: {
      type: 'changing',
      changingStage: 'second',
      age: 13,
      style: 'pop',
      goals: ['ease'],
      speakingNote: 57,
      bridges: [],
      avoid: [],
      measured: range(56, 66, 54, 69),
      hardCeiling: 67,
    },
    lessons: [
      [1, '17:30', 30],
      [3, '17:30', 30],
      [7, '11:00', 30],
    ],
  },
  {
    name: 'Juniper Vance',
    note: 'Swing nights on the barge. The low zone is hers to decide.',
    measuredDaysAgo: 30,
    voice: {
      type: 'contralto',
      age: 33,
      style: 'jazz',
      goals: ['light-top', 'vibrato'],
      speakingNote: 58,
      bridges: [{ low: 65, high: 66 }],
      avoid: [{ low: 52, high: 56, kind: 'never-sounded' }],
      measured: range(53, 74, 51, 77),
    },
    lessons: [
      [2, '15:00', 30],
      [4, '16:15', 30],
      [6, '11:00', 45],
    ],
    routine: {
      name: 'Lamps on the water',
      minutes: 10,
      kind: 'lesson',
      steps: [
        'shoulder-rolls',
        'straw-slides',
        ['hum-on-the-chord', { maxKeys: 5 }],
        'short-starts',
        ['up-and-down-five', { maxKeys: 6 }],
        'straight-until-the-last-note',
        'falling-hum',
      ],
    },
  },
  {
    name: 'Barnaby Quill',
    note: 'Retired ferry pilot, seventy-one. Slow starts, good stories.',
    measuredDaysAgo: 41,
    voice: {
      type: 'baritone',
      age: 71,
      style: 'choral',
      goals: ['ease', 'line'],
      piece: 'Ferryman’s evening',
      speakingNote: 47,
      bridges: [{ low: 59, high: 60 }],
      avoid: [],
      measured: range(45, 62, 43, 64),
    },
    lessons: [
      [2, '11:00', 45],
      [4, '11:00', 45],
      [6, '12:00', 30],
    ],
    routine: {
      name: 'Slow water',
      minutes: 12,
      kind: 'lesson',
      steps: [
        'standing-check',
        ['low-wide-breath', { repeats: 6 }],
        'hum-glides',
        'straw-slides',
        ['lip-trill-on-five', { maxKeys: 5, tempo: 80 }],
        ['hum-on-the-chord', { maxKeys: 5 }],
        ['down-from-five', { maxKeys: 5 }],
        'sigh-to-speech',
      ],
    },
  },
  {
    name: 'Rook Hallam',
    note: 'Builds narrowboats, sings metal. Clean first, always.',
    measuredDaysAgo: 26,
    voice: {
      type: 'baritone',
      age: 34,
      style: 'heavy',
      goals: ['grit', 'belt'],
      speakingNote: 48,
      bridges: [{ low: 59, high: 61 }],
      avoid: [],
      measured: range(45, 66, 41, 69),
    },
    lessons: [
      [2, '18:00', 45],
      [4, '18:00', 45],
      [5, '18:00', 30],
    ],
    routine: {
      name: 'Clean first',
      minutes: 12,
      kind: 'lesson',
      steps: [
        'shoulder-rolls',
        'long-hiss',
        'lip-trill-glides',
        ['z-on-five', { maxKeys: 5 }],
        ['up-and-down-five', { maxKeys: 6 }],
        ['octave-leap-and-settle', { maxKeys: 4 }],
        'speech-like-call',
        'low-straw',
      ],
    },
  },
  {
    name: 'Otis Wren',
    note: 'Beginner. Talks all day on the radio of the lock office.',
    measuredDaysAgo: 16,
    earlierChecks: [[60, 51, 63, 49, 65]],
    voice: {
      type: 'tenor',
      age: 24,
      style: 'pop',
      goals: ['pitch', 'breath'],
      speakingNote: 50,
      bridges: [{ low: 62, high: 63 }],
      avoid: [],
      measured: range(50, 65, 48, 67),
    },
    lessons: [
      [2, '17:15', 30],
      [4, '17:15', 30],
      [5, '17:15', 30],
      [7, '12:00', 30],
    ],
    routine: {
      name: 'Ten plain minutes',
      minutes: 10,
      kind: 'lesson',
      steps: [
        'standing-check',
        'low-wide-breath',
        'lip-trill-glides',
        'little-steps',
        ['up-and-down-five', { maxKeys: 5 }],
        'falling-hum',
      ],
    },
  },
];

export const DEMO_NOTES: readonly string[] = [
  'Easier once the start was lower.',
  'The bridge wants a narrower vowel.',
  'Good breath today, left it there.',
  'Talked too much before; took it slowly.',
  'Trill only with fingertips at the corners.',
  'Best on the way down.',
];

/** Who sings together at the regatta. */
export const DEMO_GROUPS: readonly { readonly name: string; readonly singers: readonly string[] }[] = [
  { name: 'The lock boat', singers: ['Maud Pellow', 'Otis Wren', 'Corwin Dace'] },
  { name: 'First and last light', singers: ['Tamsin Orrock', 'Barnaby Quill'] },
];
