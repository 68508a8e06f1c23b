/**
 * The trade’s terms and ours, one line each, as the pages explain them on request and the list of them says.
 * `inSentences` are the words by which a running sentence means the term and nothing else, parted by bars.
 */
export const terms = {
  belt: {
    word: 'belt',
    inSentences: 'belt|belting',
    says: 'Loud, chest-led singing over the bridge; it has a ceiling of its own.',
  },
  breathCount: {
    word: 'breath count',
    inSentences: 'breath count',
    says: 'How long one breath lasted when it was last counted, on an exercise that counts it.',
  },
  bridge: {
    word: 'bridge, passaggio',
    inSentences: 'bridge|bridges|passaggio',
    says: 'Where the registers turn over: two edges, a semitone or more apart.',
  },
  extension: {
    word: 'extending',
    inSentences: 'extending',
    says: 'Work that reaches past the comfortable end, on purpose and for a moment.',
  },
  gap: { word: 'gap', says: 'A note that does not sound reliably; nothing is held there.' },
  gentle: {
    word: 'gentle work',
    inSentences: 'gentle work',
    says: 'Occluded, gliding or light: it may go a little further than the rest.',
  },
  goals: { word: 'goal', says: 'What the student wants; drafts serve it first.' },
  grit: {
    word: 'grit',
    inSentences: 'grit',
    says: 'Roughness on purpose. It comes from a clean, warm middle, and never on a tired voice.',
  },
  heavy: {
    word: 'heavy day',
    inSentences: 'heavy day',
    says: 'The voice answers late and low, as on many mornings: lower tops, glides downward first.',
  },
  help: {
    word: 'who sounds',
    says: 'What the piano gives: it shows, plays along, gives the cue, or only the first note.',
  },
  ladder: {
    word: 'ladder, rung',
    inSentences: 'rung|rungs|ladder',
    says: 'A tune carried through the keys; each key is a rung.',
  },
  load: {
    word: 'load',
    inSentences: 'load',
    says: 'How hard the work is on the voice, 0 silent to 4 demanding; the span is how far its tune reaches, in semitones.',
  },
  margin: {
    word: 'margin',
    inSentences: 'margin',
    says: 'How far ordinary work stays inside both ends of the comfortable range.',
  },
  modest: {
    word: 'modest work',
    inSentences: 'modest work',
    says: 'Kept well below the top: release, onset, resonance, and the first steps.',
  },
  occluded: {
    word: 'occluded, SOVT',
    inSentences: 'occluded|SOVT',
    says: 'Sung with the mouth half closed: hum, trill, straw. The gentlest work there is.',
  },
  overlay: {
    word: 'overlay',
    inSentences: 'overlay',
    says: 'Laid over a step: a hand, a stance, a mirror. It changes no note.',
  },
  reach: { word: 'reach', says: 'The furthest notes that come at all: for seconds, not for phrases.' },
  recovering: {
    word: 'recovering',
    inSentences: 'recovering',
    says: 'After illness or loss of voice: gentle work, half the time, nothing held.',
  },
  register: {
    word: 'register',
    inSentences: 'register|registers',
    says: 'Light, mixed or heavy: how much of the folds moves; heavy is chest, light is head.',
  },
  speakingNote: {
    word: 'speaking note',
    inSentences: 'speaking note',
    says: 'Where the voice speaks by itself; warm-ups begin near it.',
  },
  tired: {
    word: 'tired day',
    inSentences: 'tired',
    says: 'The voice has done much already: lower tops, more occluded work, nothing loud.',
  },
  turn: { word: 'turn', says: 'Where a ladder stops going up and comes home.' },
  zone: {
    word: 'zone',
    inSentences: 'zone|zones',
    says: 'Notes kept out of ordinary work, or never held, or never loud.',
  },
} as const;

export type TermName = keyof typeof terms;

/** In the order they are listed. */
export const TERM_NAMES = Object.keys(terms) as readonly TermName[];

/** Whether a word, such as the name of a condition, is one of the terms. */
export function isTerm<Word extends string>(word: Word): word is Word & TermName {
  return word in terms;
}
