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
  Stem,
  Tuplet,
  Voice,
} from 'vexflow/bravura';
import type { Staff, StaffSign } from './staff.layout.ts';

const LINE_HEIGHT = 136;
const TOP = 4;
const LEAST_SIGN = 34;

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

function noteOf({ key, value, syllable }: StaffSign, clef: Staff['clef']): StaveNote {
  const duration = DURATIONS[value.type] ?? SHORTEST;
  const note = new StaveNote({
    clef,
    keys: [key ?? (clef === 'bass' ? 'd/3' : 'b/4')],
    duration: key === null ? `${duration}r` : duration,
    dots: value.dots,
    // Stems upwards all along, so that the words below have room.
    stemDirection: Stem.UP,
  });
  if (value.dots > 0) Dot.buildAndAttach([note], { all: true });
  if (syllable !== '')
    note.addModifier(
      new Annotation(syllable)
        .setVerticalJustification(AnnotationVerticalJustify.BOTTOM)
        .setFont('Atkinson Hyperlegible Next Variable', 12),
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
  const lowestOf = (note: StaveNote): number => Math.max(...note.getYs());
  const lowest = Math.max(...notes.map(lowestOf), stave.getYForLine(4));
  for (const note of notes)
    for (const word of note.getModifiersByType(Annotation.CATEGORY))
      if (word instanceof Annotation) word.setTextLine((lowest - lowestOf(note)) / stave.getSpacingBetweenLines());
}

interface LinePlace {
  readonly staff: Staff;
  readonly width: number;
  readonly ink: string;
}

function drawLine(element: HTMLDivElement, line: readonly StaffSign[], { staff, width, ink }: LinePlace): void {
  element.replaceChildren();
  const context = new Renderer(element, Renderer.Backends.SVG).resize(width, LINE_HEIGHT).getContext();
  context.setFillStyle(ink).setStrokeStyle(ink);
  const notes = line.map((sign) => noteOf(sign, staff.clef));
  const voice = new Voice().setMode(Voice.Mode.SOFT).addTickables(notes);
  const formatter = new Formatter().joinVoices([voice]);
  const wanted = 110 + line.length * Math.max(LEAST_SIGN, (width - 110) / Math.max(line.length, 12));
  // Words may ask for more room than there is: then the line is drawn smaller rather than over the edge.
  const least = 130 + formatter.preCalculateMinTotalWidth([voice]);
  const staveWidth = Math.max(least, Math.min(width - 2, wanted));
  const scale = Math.min(1, (width - 2) / staveWidth);
  context.scale(scale, scale);
  const stave = new Stave(0, TOP, staveWidth);
  stave.addClef(staff.clef).addKeySignature(staff.signature).setContext(context).draw();
  const tuplets = tupletsOf(line, notes);
  Accidental.applyAccidentals([voice], staff.signature);
  formatter.formatToStave([voice], stave);
  const beams = Beam.generateBeams(notes, { maintainStemDirections: true });
  alignWords(notes, stave);
  voice.draw(context, stave);
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
 *
 * @param width pixels there are
 */
export function drawStaff(element: HTMLDivElement, staff: Staff, width: number, ink: string): void {
  const { clef, signature } = staff;
  const before = [...element.children].filter((child) => child instanceof HTMLDivElement);
  for (const gone of before.slice(staff.lines.length)) gone.remove();
  staff.lines.forEach((line, row) => {
    const place = before[row] ?? element.appendChild(document.createElement('div'));
    const look = JSON.stringify([line, clef, signature, width, ink]);
    if (place.dataset['look'] === look) return;
    drawLine(place, line, { staff, width, ink });
    place.dataset['look'] = look;
  });
}
