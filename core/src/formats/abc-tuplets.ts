/** A tuplet sign with all its figures: so many notes in the time of so many, for the next so many. */
const SIGN = /\((\d):(\d):(\d)/y;
/** A note or a rest: accidental, letter, octave; then its length. */
const NOTE = /([=^_]{0,2}[A-Ga-gz][,']{0,4})(\d{0,4})(\/{0,3})(\d{0,4})/y;
const BETWEEN = /(?: |![a-z]{1,20}!)*/y;

function matchAt(pattern: RegExp, text: string, at: number): RegExpExecArray | null {
  pattern.lastIndex = at;
  return pattern.exec(text);
}

/** A length as ABC has it, times a fraction. */
function lengthTimes([top, slashes, bottom]: readonly string[], by: readonly [number, number]): string {
  const numerator = Number(top === '' ? 1 : top) * by[0];
  const halves = slashes === '' ? 1 : bottom === '' ? 2 ** (slashes?.length ?? 0) : Number(bottom);
  return `${String(numerator)}/${String(halves * by[1])}`;
}

/** The notes that stand under an unfinished sign, with lengths of their own; null where something else stands there. */
function plainNotes(line: string, from: number, count: number, by: readonly [number, number]): [string, number] | null {
  let at = from;
  let text = '';
  for (let note = 0; note < count; note += 1) {
    const [between = ''] = matchAt(BETWEEN, line, at) ?? [];
    const found = matchAt(NOTE, line, at + between.length);
    if (!found) return null;
    const [whole, head = '', ...length] = found;
    text += between + head + lengthTimes(length, by);
    at += between.length + whole.length;
  }
  return [text, at];
}

/**
 * A line of ABC whose unfinished tuplets, fewer notes than fill them, stand as plain lengths: the library takes the
 * sign for a whole one.
 *
 * @example withPlainTuplets('(3:2:1C/2 D') // 'C2/6 D'
 */
export function withPlainTuplets(line: string): string {
  let plain = '';
  for (let at = 0; at < line.length;) {
    const sign = line[at] === '(' ? matchAt(SIGN, line, at) : null;
    const [whole = '', actual = '', normal = '', count = ''] = sign ?? [];
    const notes =
      sign && count < actual
        ? plainNotes(line, at + whole.length, Number(count), [Number(normal), Number(actual)])
        : null;
    plain += notes ? notes[0] : (line[at] ?? '');
    at = notes ? notes[1] : at + 1;
  }
  return plain;
}
