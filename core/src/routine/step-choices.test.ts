import { contextOf, exercises } from '../testing/routine-context.ts';
import type { LimitCode } from '../limits/index.ts';
import { keys } from '../testing/ladders.ts';
import type { VoiceFile } from '../voice/index.ts';
import { layRoutine, routineStepSchema, type LaidStep, type RoutineContext, type StepSettings } from './index.ts';

const FIVE = 'up-and-down-five';

function layOut(
  settings: StepSettings,
  change: Partial<RoutineContext> = {},
  file: Partial<VoiceFile> = {},
  exerciseId = FIVE,
): LaidStep {
  const warm = ['one', 'two', 'three'].map((id) => ({ id, exerciseId: FIVE, settings: {} }));
  const list = [...warm, { id: 'a', exerciseId, settings }];
  const step = layRoutine(list, contextOf(change, file)).steps.at(-1);
  if (!step) throw new Error('the step is not on the shelf');
  return step;
}
const ladderIn = (step: LaidStep) => (step.laid?.kind === 'pattern' ? step.laid : undefined);
const plain = layOut({});

test.each<[string, StepSettings, string]>([
  ['three over the lowest', { startRule: { rule: 'low-anchor', semitones: 3 } }, 'D4'],
  ['two under the highest', { startRule: { rule: 'high-anchor', semitones: 2 } }, 'F♯4'],
  ['a note stands over a rule', { start: 64, startRule: { rule: 'low-anchor', semitones: 3 } }, 'E4'],
])('it starts %s', (_, settings, start) => {
  const first = ladderIn(layOut(settings))?.ladder.rungs.slice(0, 1) ?? [];
  expect(keys(first)).toBe(start);
});

test.each<[string, StepSettings, Partial<RoutineContext>, number | undefined, LimitCode | undefined]>([
  ['two under the bridge', { ceilingRule: { from: 'bridge', by: -2 } }, {}, 62, 'limit.by-rule'],
  ['the comfortable top less three', { ceilingRule: { from: 'comfortable', by: -3 } }, {}, 73, undefined],
  ['the top of chest', { ceilingRule: { from: 'chest-top', by: 0 } }, {}, undefined, 'limit.by-rule'],
  ['the song’s top', { ceilingRule: { from: 'song', by: 1 } }, { songRange: { low: 60, high: 71 } }, 72, undefined],
  ['a note stands over it', { ceiling: 70, ceilingRule: { from: 'bridge', by: -2 } }, {}, 70, 'limit.by-hand'],
])('its top by rule: %s', (_, settings, change, ceiling, code) => {
  const { limits } = layOut(settings, change);
  const entry = limits?.entries.find(({ side, rule }) => side === 'ceiling' && rule === 'override');
  if (ceiling !== undefined) expect(limits?.ceiling).toBe(ceiling);
  if (code !== undefined) expect(entry?.said.code).toBe(code);
  expect(limits?.floor).toBe(plain.limits?.floor);
});

test('its bottom by rule, and what no rule passes', () => {
  expect(layOut({ floorRule: { from: 'comfortable', by: 4 } }).limits?.floor).toBe(62);
  expect(layOut({ floorRule: { from: 'song', by: 0 } }, { songRange: { low: 63, high: 71 } }).limits?.floor).toBe(63);
  // Without a piece in hand the rule says nothing.
  expect(layOut({ floorRule: { from: 'song', by: 0 } }).limits?.floor).toBe(plain.limits?.floor);
  expect(layOut({ ceilingRule: { from: 'bridge', by: 12 } }, {}, { hardCeiling: 70 }).limits?.ceiling).toBe(70);
});

test('tempo by key, beats of cue and rest, and the set-up are those of the step', () => {
  const faster = ladderIn(layOut({ tempo: 80, tempoStep: 4 }))?.ladder.rungs.map(({ tempo }) => tempo) ?? [];
  expect(faster.slice(0, 3)).toEqual([80, 84, 88]);
  const [one, two] = ladderIn(layOut({ tempo: 60, cueBeats: 1, restBeats: 3 }))?.ladder.rungs ?? [];
  expect((one?.singsAt ?? 0) - (one?.startsAt ?? 0)).toBe(1);
  expect((two?.startsAt ?? 0) - (one?.endsAt ?? 0)).toBe(3);
  expect(layOut({ setUpSeconds: 0 }).setUpSeconds).toBe(0);
  expect(layOut({ setUpSeconds: 42 }).seconds - plain.seconds).toBe(42 - plain.setUpSeconds);
});

test('other syllables, in every height of the key', () => {
  const laid = layOut({ syllables: 'moo' });
  expect(ladderIn(laid)?.pattern.events.map(({ syllable }) => syllable)).toContain('moo');
  expect(laid.exercise.work).toMatchObject({ syllables: 'moo', syllablesAt: {} });
  expect(layOut({ syllables: 'oo' }, {}, {}, 'lip-trill-glides').exercise.work).toMatchObject({ syllables: 'oo' });
});

test('manners of the step: each key in each of them', () => {
  const ways = ladderIn(layOut({ manners: ['breathy', 'clear'], maxKeys: 2 }))?.ways ?? [];
  expect(ways.map(({ manner }) => manner).slice(0, 4)).toEqual(['breathy', 'clear', 'breathy', 'clear']);
});

test.each<[string, StepSettings, readonly string[]]>([
  ['the piano plays along', { help: 'together' }, ['together', 'together']],
  ['each key shown, then sung', { help: 'shown-then-sung' }, ['shown', 'cue-only', 'shown', 'cue-only']],
  [
    'shown and sung in each manner',
    { help: 'shown-then-sung', manners: ['soft', 'full'] },
    ['shown soft', 'cue-only soft', 'shown full', 'cue-only full'],
  ],
])('who sounds: %s', (_, settings, expected) => {
  const ways = ladderIn(layOut({ ...settings, maxKeys: 2, travel: 'rise' }))?.ways ?? [];
  const told = ways.map(({ help, manner }) => [help, manner].filter(Boolean).join(' '));
  expect(told.slice(0, expected.length)).toEqual(expected);
});

test('what is shown takes its time and is not voiced', () => {
  const alone = layOut({ help: 'alone' });
  const shown = layOut({ help: 'shown-then-sung' });
  expect(shown.voicedSeconds).toBeCloseTo(alone.voicedSeconds, 6);
  expect(shown.seconds).toBeGreaterThan(alone.seconds * 1.8);
});

test('a glide of another shape, every second one mirrored; what is no glide has neither', () => {
  const glides = (settings: StepSettings) => {
    const { laid } = layOut(settings, {}, {}, 'lip-trill-glides');
    const pieces = laid?.kind === 'siren' ? laid.siren.pieces : [];
    return [0, 1].map((pass) => {
      const [first] = pieces.filter((piece) => piece.pass === pass);
      return (first?.to ?? 0) > (first?.from ?? 0) ? 'up' : 'down';
    });
  };
  expect(glides({ shape: 'down' })).toEqual(['down', 'down']);
  expect(glides({ shape: 'up', mirrored: true })).toEqual(['up', 'down']);
  expect(layOut({ shape: 'down', mirrored: true }).seconds).toBe(plain.seconds);
});

test('calls from a list of the step, in its order or drawn', () => {
  const calls = [...exercises.values()].find(({ work }) => work.kind === 'spoken');
  const said = (settings: StepSettings) => {
    const { laid } = layOut({ repeats: 4, ...settings }, {}, {}, calls?.id);
    return laid?.kind === 'still' ? laid.course.parts.flatMap(({ text }) => text ?? []) : [];
  };
  expect(said({ lines: ['Hey!', 'Ahoy!', 'Ho!'] })).toEqual(['Hey!', 'Ahoy!', 'Ho!', 'Hey!']);
  const drawn = said({ lines: ['Hey!', 'Ahoy!', 'Ho!'], order: 'drawn' });
  expect(new Set(drawn).size).toBeGreaterThan(1);
  // An order to draw from one line is no order.
  expect(said({ order: 'drawn' })).toHaveLength(4);
});

test('what an exercise says of its ends, its second time and who sounds holds in every step that says nothing else', () => {
  const [five] = [exercises.get(FIVE)];
  if (five?.work.kind !== 'pattern') throw new Error('the shelf lost a ladder');
  const work = {
    ...five.work,
    ceilingRule: { from: 'bridge' as const, by: 5 },
    floorRule: { from: 'comfortable' as const, by: -4 },
    again: { further: 1 },
    help: 'together' as const,
    tempoStep: 2,
  };
  const shelf = new Map([...exercises, [FIVE, { ...five, work }]]);
  const laid = layOut({}, { exercises: shelf });
  // It takes away and never adds.
  expect(laid.limits).toMatchObject({ ceiling: 69, floor: plain.limits?.floor });
  expect(laid.limits?.entries.at(-1)?.said.values?.['anchor']).toEqual({ word: 'bridge-ceiling', of: 'anchor' });
  expect(ladderIn(laid)?.ladder.rungs.some(({ pass }) => pass === 2)).toBe(true);
  expect(ladderIn(laid)?.ways.every(({ help }) => help === 'together')).toBe(true);
  expect(ladderIn(laid)?.input.tempoStep).toBe(2);
  const own = layOut({ ceiling: 72, help: 'alone', tempoStep: 0 }, { exercises: shelf });
  expect(own.limits?.ceiling).toBe(72);
  expect(ladderIn(own)?.ways.every(({ help }) => help === 'alone')).toBe(true);
  expect(ladderIn(own)?.input.tempoStep).toBe(0);
  const wider = { ...work, ceilingRule: { from: 'comfortable' as const, by: 9 } };
  const above = layOut({}, { exercises: new Map([...exercises, [FIVE, { ...five, work: wider }]]) });
  expect(above.limits?.ceiling).toBe(plain.limits?.ceiling);
});

const OWN = {
  id: 'own-book',
  name: 'A book on the head',
  text: 'It stays.',
  setUpSeconds: 12,
  touches: ['neck' as const],
};
test('an overlay of the teacher’s own lies over the step, and a caution on file leaves it out', () => {
  const day = { ownOverlays: [OWN] };
  expect(layOut({ overlay: 'own-book' }, day).overlay).toMatchObject({ name: OWN.name, setUpSeconds: 12 });
  expect(layOut({ overlay: 'own-book' }, day).setUpSeconds).toBe(plain.setUpSeconds + 12);
  expect(layOut({ overlay: 'own-book' }, day, { cautions: ['neck-and-shoulder'] }).overlay).toBeUndefined();
  expect(layOut({ overlay: 'own-book' }).overlay).toBeUndefined();
});

test.each<StepSettings>([
  { tempoStep: 40 },
  { again: { further: 13 } },
  { setUpSeconds: -1 },
  { cueBeats: 17 },
  { manners: Array.from({ length: 9 }, () => 'soft') },
  { ceilingRule: { from: 'bridge', by: 13 } },
  { startRule: { rule: 'low-anchor', semitones: 25 } },
])('%j is refused', (settings) => {
  const whole = { id: '0194c000-0000-7000-8000-000000000001', exerciseId: FIVE, settings };
  expect(routineStepSchema.safeParse({ ...whole, settings: {} }).success).toBe(true);
  expect(routineStepSchema.safeParse(whole).success).toBe(false);
});
