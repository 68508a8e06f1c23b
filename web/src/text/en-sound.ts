/** How the piano sounds, as it is set at the piano. */
export const sound = {
  title: 'Sound',
  cue: 'The cue',
  cues: {
    'chord-and-note': 'chord, first note',
    chord: 'chord',
    note: 'first note',
    'bass-and-chord': 'bass, chord',
  },
  click: 'A click',
  clicks: { none: 'none', 'count-in': 'counts in', throughout: 'beats throughout' },
  shownAt: 'Shown keys',
  octaves: { '0': 'as sung', '-12': 'octave below', '12': 'octave above' },
  levels: { cue: 'Cue, how loud', tune: 'Tune, how loud', click: 'Click, how loud' },
  percent: '{{percent}} %',
  tuning: 'A4 at',
  silent: 'I play myself',
  silentHint: 'Nothing sounds; keys, counts and the log go on.',
  speaks: 'Count aloud',
  speaksHint: '“Two more”, “last one”: spoken while the cue sounds, never over the singing.',
  noVoice: 'This browser has no voice to speak with.',
};
