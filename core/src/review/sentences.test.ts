import fc from 'fast-check';
import { draftDays } from '../testing/draft-days.ts';
import { exercises, step } from '../testing/routine-context.ts';
import { copyRoutine, draftRoutine, type DraftContext } from '../draft/index.ts';
import { layRoutine, type LaidStep } from '../routine/index.ts';
import { reviewRoutine } from './index.ts';

/** What a sentence never holds: something that was never worked out, a place that was not filled in, a slip of the hand. */
const SLIP = /undefined|null|NaN|Infinity|\[object|\{\{|\d\.\d{3,}| {2}| [.,;:!?]|[.,;]{2}(?<!\.\.)|\(\)|“”|-\d| $|^ /;

function expectSentences(where: string, texts: readonly string[]): void {
  for (const text of texts) {
    expect([where, text, SLIP.exec(text)?.[0]]).toEqual([where, text, undefined]);
    expect([where, text, /^[\p{Lu}\p{Nd}“].*[.!?…”]$/u.test(text)]).toEqual([where, text, true]);
  }
}

function expectLabels(where: string, texts: readonly string[]): void {
  for (const text of texts) {
    expect([where, text, SLIP.exec(text)?.[0]]).toEqual([where, text, undefined]);
    expect([where, text, text.length > 2 && text.length < 120]).toEqual([where, text, true]);
  }
}

const ledgerOf = ({ limits }: LaidStep): readonly string[] => limits?.entries.map(({ label }) => label) ?? [];
const skippedOf = ({ laid }: LaidStep): readonly string[] => {
  if (laid?.kind === 'pattern') return laid.ladder.skipped.map(({ reason }) => reason);
  return laid?.kind === 'siren' ? laid.siren.skipped.map(({ reason }) => reason) : [];
};

function expectGoodWords(context: DraftContext, stepIds: readonly string[]): void {
  const draft = draftRoutine(context);
  expectSentences(
    'why a step was taken',
    draft.steps.map(({ reason }) => reason),
  );
  expectSentences(
    'why not',
    [...draft.steps.flatMap(({ passedOver }) => passedOver), ...draft.leftOut].map(({ reason }) => reason),
  );

  const steps = stepIds.map((id) => step(id));
  const laid = layRoutine(steps, context);
  const problems = laid.steps.flatMap(({ problem }) => (problem ? [problem] : []));
  expectSentences(
    'a problem',
    problems.flatMap(({ message, remedy }) => [message, remedy]),
  );
  expectLabels('a line of the ledger', laid.steps.flatMap(ledgerOf));
  expectLabels('a key left out', laid.steps.flatMap(skippedOf));

  const findings = reviewRoutine({ ...context, steps });
  expectSentences(
    'the review',
    findings.flatMap(({ message, source }) => [message, source]),
  );
  expectLabels(
    'a fix',
    findings.flatMap(({ fixes }) => fixes.map(({ label }) => label)),
  );
  expect(new Set(findings.map(({ id }) => id)).size).toBe(findings.length);
}

test('whatever the day and the routine, every word that is worked out is a whole sentence or a short label', () => {
  const routines = fc.array(fc.constantFrom(...exercises.keys()), { minLength: 1, maxLength: 9 });
  fc.assert(
    fc.property(
      draftDays,
      fc.uniqueArray(fc.constantFrom(...exercises.keys()), { minLength: 1, maxLength: 9 }),
      expectGoodWords,
    ),
    { numRuns: 250 },
  );
  fc.assert(
    fc.property(draftDays, draftDays, routines, (from, to, ids) => {
      const steps = [...new Set(ids)].map((id) => step(id));
      let made = 0;
      const { changes } = copyRoutine(steps, from, to, () => `copy-${String((made += 1))}`);
      expectSentences(
        'a copied step',
        changes.flatMap(({ reason }) => (reason === undefined ? [] : [reason])),
      );
    }),
    { numRuns: 100 },
  );
});
