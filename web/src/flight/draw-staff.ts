import {
  Accidental,
  Annotation,
  AnnotationVerticalJustify,
  Beam,
  Dot,
  Formatter,
  Renderer,
  Stave,
  StaveLine,
  StaveNote,
  StaveTie,
  Tuplet,
  Voice,
} from 'vexflow/bravura';
import type { Staff, StaffSign } from './staff.layout.ts';

export type StaffLook = 'sheet' | 'title' | 'piano';

/** How large each look is drawn, pixels, and how large its words are; none are written beside a title. */
const LOOKS = {
  sheet: { scale: 1, height: 136, top: 4, leastSign: 34, words: 12 },
  title: { scale: 0.58, height: 56, top: -6, leastSign: 26, words: null },
  piano: { scale: 1.12, height: 150, top: -2, leastSign: 44, words: 17 },
} as const satisfies Record<StaffLook, object>;

const DURATIONS: Readonly<Record<string, string>> = {
  long: '1/2',
  breve: '1/2',
  whole: 'w',
  half: 'h',
  quarter: 'q',
  eighth: '8',
  '16th': '16',
  '32nd': '32',
  '64th': '64',
};
const SHORTEST = '128';

function noteOf({ key, value, syllable }: StaffSign, clef: Staff['clef'], words: number | null): StaveNote {
  const duration = DURATIONS[value.type] ?? SHORTEST;
  const note = new StaveNote({
    clef,
    keys: [key ?? (clef === 'bass' ? 'd/3' : 'b/4')],
    duration: key === null ? `${duration}r` : duration,
    dots: value.dots,
    autoStem: true,
  });
  if (value.dots > 0) Dot.buildAndAttach([note], { all: true });
  if (syllable !== '' && words !== null)
    note.addModifier(
      new Annotation(syllable)
        .setVerticalJustification(AnnotationVerticalJustify.BOTTOM)
        .setFont('Atkinson Hyperlegible Next Variable', words),
    );
  return note;
}

/** Neighbours that share a tuplet, as many as fill it. */
function tupletsOf(line: readonly StaffSign[], notes: readonly StaveNote[]): Tuplet[] {
  const tuplets: Tuplet[] = [];
  for (let index = 0; index < line.length;) {
    const tuplet = line[index]?.value.tuplet;
    let end = index + 1;
    while (tuplet && end < index + tuplet.actual && line[end]?.value.tuplet?.actual === tuplet.actual) end += 1;
    if (tuplet)
      tuplets.push(
        new Tuplet(notes.slice(index, end), {
          numNotes: tuplet.actual,
          notesOccupied: tuplet.normal,
          bracketed: true,
          location: Tuplet.LOCATION_TOP,
        }),
      );
    index = end;
  }
  return tuplets;
}

/** Words stand on one line under the lowest note, however high their own notes are. */
function alignWords(notes: readonly StaveNote[], stave: Stave): void {
  for (const note of notes) note.setStave(stave);
  const lowestOf = (note: StaveNote): number => {
    const { topY, baseY } = note.getStemExtents();
    return note.isRest() ? stave.getYForLine(4) : Math.max(...note.getYs(), topY, baseY);
  };
  const lowest = Math.max(...notes.map(lowestOf), stave.getYForLine(4));
  for (const note of notes)
    for (const word of note.getModifiersByType(Annotation.CATEGORY))
      if (word instanceof Annotation) word.setTextLine((lowest - lowestOf(note)) / stave.getSpacingBetweenLines());
}

/** How a staff is drawn. */
interface StaffPlace {
  /** Pixels there are. */
  readonly width: number;
  readonly ink: string;
  readonly look: StaffLook;
}

function drawLine(
  element: HTMLDivElement,
  line: readonly StaffSign[],
  staff: Staff,
  { width, ink, look }: StaffPlace,
): void {
  const size = LOOKS[look];
  element.replaceChildren();
  const context = new Renderer(element, Renderer.Backends.SVG).resize(width, size.height).getContext();
  context.setFillStyle(ink).setStrokeStyle(ink);
  const notes = line.map((sign) => noteOf(sign, staff.clef, size.words));
  const voice = new Voice().setMode(Voice.Mode.SOFT).addTickables(notes);
  const formatter = new Formatter().joinVoices([voice]);
  const room = (width - 2) / size.scale;
  const wanted = 110 + line.length * Math.max(size.leastSign, (room - 110) / Math.max(line.length, 12));
  // Words may ask for more room than there is: then the line is drawn smaller rather than over the edge.
  const least = 130 + formatter.preCalculateMinTotalWidth([voice]);
  const staveWidth = Math.max(least, Math.min(room, wanted));
  const scale = Math.min(size.scale, (width - 2) / staveWidth);
  context.scale(scale, scale);
  const stave = new Stave(0, size.top, staveWidth);
  stave.addClef(staff.clef).addKeySignature(staff.signature).setContext(context).draw();
  const tuplets = tupletsOf(line, notes);
  Accidental.applyAccidentals([voice], staff.signature);
  formatter.formatToStave([voice], stave);
  const beams = Beam.generateBeams(notes);
  alignWords(notes, stave);
  voice.draw(context, stave);
  line.forEach(({ event }, index) => notes[index]?.getSVGElement()?.setAttribute('data-event', String(event)));
  for (const beam of beams) beam.setContext(context).draw();
  for (const tuplet of tuplets) tuplet.setContext(context).draw();
  line.forEach((sign, index) => {
    const [first, last] = [notes[index], notes[index + 1]];
    if (!first || !last) return;
    const between = { firstNote: first, lastNote: last, firstIndexes: [0], lastIndexes: [0] };
    if (sign.isTiedOn) new StaveTie(between).setContext(context).draw();
    if (sign.glidesOn) new StaveLine(between).setContext(context).draw();
  });
}

/**
 * Draws a staff with a well-known engraver into an element. Lines that are as they were are left alone: engraving is the
 * dearest thing on the sheet, and a keystroke changes one of them.
 */
export function drawStaff(element: HTMLDivElement, staff: Staff, place: StaffPlace): void {
  const { clef, signature, lines } = staff;
  const before = [...element.children].filter((child) => child instanceof HTMLDivElement);
  for (const gone of before.slice(lines.length)) gone.remove();
  lines.forEach((line, row) => {
    const canvas = before[row] ?? element.appendChild(document.createElement('div'));
    const drawn = JSON.stringify([line, clef, signature, place]);
    if (canvas.dataset['drawn'] === drawn) return;
    drawLine(canvas, line, staff, place);
    canvas.dataset['drawn'] = drawn;
  });
}
