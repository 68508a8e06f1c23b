import { applyPatch } from '../edit/index.ts';
import { layRoutine, type RoutineStep, type StepSettings } from '../routine/index.ts';
import { contextOf, exercises, step } from '../testing/routine-context.ts';
import type { VoiceFile } from '../voice/index.ts';
import { reviewRoutine, type FixCode, type ReviewContext } from './index.ts';

function reviewOf(steps: readonly RoutineStep[], file: Partial<VoiceFile> = {}) {
  const context: ReviewContext = { ...contextOf({}, file), steps, minutes: 12 };
  return { context, findings: reviewRoutine(context) };
}
const found = (steps: readonly RoutineStep[], rule: string, file: Partial<VoiceFile> = {}) => {
  const { context, findings } = reviewOf(steps, file);
  const finding = findings.find((one) => one.rule === rule);
  return { context, finding, labels: finding?.fixes.map(({ said }) => said.code) ?? [] };
};
const five = (settings: StepSettings): RoutineStep => step('up-and-down-five', settings);
const after = [step('hum-on-the-chord'), step('chord-up-and-down'), step('falling-hum')];

test.each<[string, StepSettings, FixCode, number]>([
  ['under today’s bottom', { start: 56 }, 'fix.let-down', 56],
  ['over today’s top', { start: 67 }, 'fix.let-up', 74],
])('a start of one’s own %s is let in by moving that end', (_, settings, code, note) => {
  const measured = { low: 58, high: 76, reachLow: 55, reachHigh: 79, date: '2026-11-03' };
  const { context, finding, labels } = found([five(settings), ...after], 'cannot-be-sung', { measured });
  const [fix] = finding?.fixes ?? [];
  expect([labels[0], fix?.said.values]).toEqual([code, { note: { note } }]);
  const mended = fix && applyPatch(context, fix.patch, () => 'none', context);
  const [first] = layRoutine(mended?.steps ?? [], context).steps;
  expect(first?.problem).toBeUndefined();
  expect(first?.laid?.kind === 'pattern' && first.laid.ladder.rungs[0]?.tonic).toBe(settings.start);
});

test('what only the opening of a routine takes away is there later; what nothing passes is not offered', () => {
  const { context, finding, labels } = found([five({ start: 67 }), ...after], 'cannot-be-sung');
  const at = labels.findIndex((label) => label === 'fix.later');
  const fix = finding?.fixes[at];
  const mended = fix ? applyPatch(context, fix.patch, () => 'none', context).steps : [];
  const moved = layRoutine(mended, context).steps.find(({ id }) => id === 'up-and-down-five');
  expect(mended.findIndex(({ id }) => id === 'up-and-down-five')).toBeGreaterThan(0);
  expect(moved?.problem).toBeUndefined();
  const hard = found([five({ start: 50 }), ...after], 'cannot-be-sung', { hardFloor: 57 });
  expect(hard.labels.filter((label) => /let-|later/.test(label))).toEqual([]);
  expect(hard.labels).toContain('fix.back-to-voice');
});

test('back to today’s limit takes a rule away as well as a note', () => {
  const raised = found(
    [...after.slice(0, 2), five({ ceilingRule: { from: 'comfortable', by: 2 } })],
    'over-todays-limit',
    {
      measured: { low: 58, high: 76, reachHigh: 79, date: '2026-11-03' },
    },
  );
  const [fix] = raised.finding?.fixes ?? [];
  const mended = fix && applyPatch(raised.context, fix.patch, () => 'none', raised.context);
  expect(mended?.steps.at(-1)?.settings).toEqual({});
});

test('a glide that would lose more than half is sung beside the zone, and says where', () => {
  const glide = [...exercises.values()].find(
    ({ work, voices }) => work.kind === 'siren' && work.lowShare < 0.2 && work.highShare > 0.6 && voices.length === 0,
  );
  const steps = [step(glide?.id ?? ''), ...after];
  const file = { avoid: [{ low: 61, high: 66, kind: 'never-sounded' as const }] };
  const { finding } = found(steps, 'glide-moved', file);
  expect(Object.keys(finding?.values ?? {})).toEqual(['name', 'glide', 'instead']);
  expect(found(steps, 'glide-moved').finding).toBeUndefined();
});
