/** Words of the settings: studio, approach, rules, account. */
export const settings = {
  heading: 'Settings',
  tabs: { studio: 'Studio', approach: 'Approach', rules: 'Rules', account: 'Account' },
  name: 'Name of the studio',
  timeZone: 'Time zone',
  save: 'Save',
  undo: 'Leave it as it was',
  stale: 'The settings were changed in another window. Yours are kept below.',
  approachHint:
    'Teachers differ; none of this is right or wrong. The answers choose cues and defaults. Each student can have answers of their own.',
  rulesHint:
    'What every limit rests on. Usual teaching references; schools differ, and every figure is yours to change. A line in a ledger says whose figure it used.',
  rules: { rule: 'Rule', figure: 'Figure', unit: 'In', source: 'Source', back: 'Back to {{figure}}' },
  units: {
    semitones: 'semitones',
    note: 'note',
    hours: 'hours',
    years: 'years',
    steps: 'steps',
    share: 'share',
  },
  theStudio: 'the studio',
  asStudio: 'as the studio: {{answer}}',
  account: {
    password: 'Password',
    current: 'The password now',
    next: 'A new one, ten characters or more',
    change: 'Change it',
    changed: 'Changed. Every other device is signed out.',
    codes: 'Recovery codes',
    codesHint:
      'For a lost password. Each code opens the account once. They are shown this one time; new ones end the old.',
    newCodes: 'Make new codes',
    copy: 'Copy them',
    copied: 'Copied',
    close: 'Close the account',
    closeHint: 'Deletes the studio with every student, voice file, routine and run. This cannot be undone.',
    yourPassword: 'Your password',
    closeNow: 'Delete all of it',
    codesTitle: 'Write these down',
    codesKept: 'I have kept them',
  },
} as const;

/** The questions on which schools differ, and their answers. */
export const approach = {
  travel: {
    question: 'Travel through the keys',
    'rise-and-home': 'rise and come home',
    'by-condition': 'led by today’s condition',
    'rise-only': 'rise only',
    'high-to-low': 'high to low',
  },
  chin: { question: 'Chin', level: 'level, long neck', 'slightly-lowered': 'slightly lowered', own: 'my own cue' },
  jaw: { question: 'Jaw', free: 'free, opening with height', steady: 'steady, fingers as monitor', own: 'my own cue' },
  'breath-image': {
    question: 'Image for breath support',
    'low-and-wide': 'low and wide',
    'ribs-open': 'ribs stay open',
    'low-abdomen': 'low abdomen and floor',
    'back-and-length': 'back and length',
  },
  'breath-share': {
    question: 'Breath work, share of the time',
    some: 'some, 10–15 %',
    brief: 'brief, under 8 %',
    thorough: 'thorough, 25 % and more',
  },
  'breath-through': { question: 'Breath through', either: 'mouth or nose', nose: 'nose', mouth: 'mouth' },
  'breath-holds': { question: 'Breath holds', off: 'off', gentle: 'gentle', timed: 'timed, with caution' },
  cracks: {
    question: 'Cracks',
    'early-then-smooth': 'allowed early, smoothed late',
    'always-smooth': 'always smooth',
    invited: 'invited',
  },
  'vowel-up-high': { question: 'Vowel up high', opens: 'opens slightly', same: 'stays the same', closes: 'closes' },
  placement: {
    question: 'Words for placement',
    'forward-with-space': 'forward buzz with throat space',
    forward: 'forward',
    'back-and-depth': 'back and depth',
  },
  'loudness-going-up': { question: 'Loudness going up', even: 'even', grows: 'grows', 'stays-soft': 'stays soft' },
  'may-do': {
    question: 'What a warm-up may do',
    restore: 'restore only',
    'restore-and-extend': 'restore and gently extend',
  },
  'sound-judged': {
    question: 'When sound is judged',
    'last-stage': 'only in the last stage',
    always: 'always',
    never: 'never',
  },
  'ladder-top': {
    question: 'Top of a ladder',
    'first-effort': 'first sign of effort',
    measured: 'measured limit',
    'any-register': 'to the end, any register',
  },
} as const;
