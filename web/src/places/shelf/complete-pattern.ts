/** What a completion adds, in a word the catalogue knows. */
type CompletionName =
  'degree' | 'rest' | 'length' | 'fraction' | 'glide' | 'octave' | 'group' | 'close' | 'times' | 'faster';

export interface Completion {
  readonly text: string;
  readonly what: CompletionName;
}

const DEGREES = ['1', '2', '3', '4', '5', '6', '7', '8'];

/** Whether a group is still open before a place. */
function isOpen(before: string): boolean {
  return before.split('(').length > before.split(')').length;
}

/**
 * What may follow at a place in a pattern's text: degrees, durations, groups.
 *
 * @param place index into the text, where the cursor stands
 */
export function completionsAt(text: string, place: number): readonly Completion[] {
  const before = text.slice(0, place);
  const word = before.split(' ').at(-1) ?? '';
  const close: Completion[] = isOpen(before) ? [{ text: ')x2', what: 'close' }] : [];
  if (word === '' || word.endsWith('('))
    return [
      ...DEGREES.map((degree): Completion => ({ text: degree, what: 'degree' })),
      { text: 'r', what: 'rest' },
      { text: '(', what: 'group' },
    ];
  if (/^\(*[#b]*\d+[',]*$/.test(word))
    return [
      { text: ':2', what: 'length' },
      { text: ':1/2', what: 'fraction' },
      { text: '~', what: 'glide' },
      { text: ',', what: 'octave' },
      { text: "'", what: 'octave' },
      ...close,
    ];
  if (word.endsWith('~')) return DEGREES.map((degree) => ({ text: degree, what: 'degree' }));
  if (word.endsWith(')'))
    return [
      { text: 'x2', what: 'times' },
      { text: ':1/2', what: 'faster' },
    ];
  if (/\)x\d+$/.test(word)) return [{ text: ':1/2', what: 'faster' }];
  return close;
}
