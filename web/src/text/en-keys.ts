/** The keyboard, as the sheet of keys lists it: keys parted by spaces, then what they do. */
export const keySheet = {
  title: 'Keys',
  parts: { everywhere: 'Everywhere', bench: 'Bench', shelf: 'Shelf', piano: 'At the piano' },
  everywhere: [
    ['/', 'find anything'],
    ['?', 'this sheet'],
    ['N', 'on Today: the next student'],
  ],
  bench: [
    ['↑ ↓', 'the step before, the step after'],
    ['shift ↑ ↓', 'choose several steps'],
    ['alt ↑ ↓', 'move what is chosen'],
    ['A', 'add a step'],
    ['D', 'duplicate what is chosen'],
    ['L', 'pin or unpin it'],
    ['delete', 'take it off'],
    ['ctrl Z', 'undo'],
    ['ctrl shift Z', 'redo'],
  ],
  shelf: [
    ['↑ ↓', 'the row before, the row after'],
    ['space', 'hear the row'],
    ['enter', 'open its sheet'],
  ],
  piano: [
    ['→', 'next key, or the pedal of a page-turner'],
    ['R', 'once more'],
    ['K', 'skip this key'],
    ['↓', 'turn back now'],
    ['H', 'home'],
    ['7 8 9', 'one, two, three more, then home'],
    ['N', 'next step'],
    ['G', 'who sounds'],
    ['S C P B T E', 'mark strain, crack, pitch, breath, tension, easy'],
    ['1 2 3 4 5', 'pain, tickle, cough, dizzy, effort: the step stops'],
    ['space', 'pause'],
  ],
};
