/**
 * Single keys, by the place they act at. Each can be changed, and all of them turned off, on the device that is used:
 * whoever dictates would press them by speaking.
 */
export const SINGLE_KEYS = {
  everywhere: { find: '/', sheet: '?' },
  today: { unplanned: 'n' },
  bench: { add: 'a', copy: 'd', pin: 'l' },
  check: { came: 'g', harder: 'j', missed: 'x', turn: 'b', takeBack: 'z' },
  piano: {
    again: 'r',
    skip: 'k',
    home: 'h',
    nextStep: 'n',
    help: 'g',
    playOn: 'w',
    slower: '-',
    faster: '=',
    half: 'l',
    vowel: 'y',
    easier: 'm',
    addStep: 'a',
    takeBack: 'z',
    keepHeard: 'j',
    oneMore: '1',
    twoMore: '2',
    threeMore: '3',
    strain: 's',
    crack: 'c',
    pitch: 'p',
    breath: 'b',
    tension: 't',
    easy: 'e',
    breathy: 'v',
    rough: 'u',
    creak: 'q',
    'own-1': '4',
    'own-2': '5',
    'own-3': '6',
    pain: 'x',
    tickle: 'i',
    cough: 'o',
    dizzy: 'd',
    effort: 'f',
  },
} as const;

export type KeyPlace = keyof typeof SINGLE_KEYS;
export type KeyName<Place extends KeyPlace> = keyof (typeof SINGLE_KEYS)[Place] & string;

/**
 * The pedals of a page-turner at the piano: what each does, and the key it usually sends. They can be changed, and act where
 * single keys are off as well. Source: page-turners send what a keyboard sends for page down and page up.
 */
export const PEDALS = { onward: 'PageDown', onceMore: 'PageUp' } as const;
export type PedalName = keyof typeof PEDALS;

/** Keys that write nothing, and so are never in the way: as the sheet shows them, and what each does. */
export const OTHER_KEYS = {
  everywhere: [],
  today: [],
  bench: [
    ['↑ ↓', 'walk'],
    ['shift ↑ ↓', 'several'],
    ['alt ↑ ↓', 'move'],
    ['delete', 'remove'],
    ['ctrl Z', 'undo'],
    ['ctrl shift Z', 'redo'],
  ],
  shelf: [
    ['↑ ↓', 'walk'],
    ['space', 'hear'],
    ['enter', 'open'],
  ],
  check: [],
  piano: [
    ['→', 'next'],
    ['↓', 'turn'],
    ['↑', 'previous'],
    ['space', 'pause'],
  ],
} as const;
