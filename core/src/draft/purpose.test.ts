import type { Exercise } from '../shelf/index.ts';
import { exercises } from '../testing/routine-context.ts';
import { purposeOf } from './purpose.ts';

const withGoals = (...goals: readonly string[]): Exercise => {
  const [any] = exercises.values();
  if (!any) throw new Error('The shelf is empty.');
  return { ...any, goals: [...goals] };
};

test.each([
  [
    'what is wanted stands before what most of the work serves',
    [['ease'], ['ease', 'line'], ['line']],
    ['line'],
    ['line'],
  ],
  ['in the order it was written', [['bridge'], ['breath', 'ease']], ['ease', 'bridge', 'breath'], ['ease', 'bridge']],
  ['what is wanted and not served is not named', [['ease']], ['bridge', 'ease'], ['ease']],
  [
    'without wishes what comes most often is named',
    [['ease'], ['tone'], ['tone', 'mix'], ['mix', 'tone']],
    [],
    ['tone', 'mix'],
  ],
  ['nothing serves nothing', [[]], ['bridge'], []],
])('%s', (_, work, wanted, named) => {
  expect(
    purposeOf(
      work.map((goals) => withGoals(...goals)),
      wanted,
    ),
  ).toEqual(named);
});
