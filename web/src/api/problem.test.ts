import { createQueryClient } from './query-client.ts';
import { ApiProblem, isSignedOut, mayPass } from './problem.ts';

test.each<[string, unknown, boolean]>([
  ['a server that is not reached', new TypeError('failed to fetch'), true],
  ['a database that is away', new ApiProblem({}, 503), true],
  ['a fault nobody foresaw', new ApiProblem({}, 500), true],
  ['a refusal', new ApiProblem({ code: 'INVALID' }, 422), false],
  ['a stale write', new ApiProblem({ code: 'STALE_WRITE' }, 409), false],
  ['an error of the page', new Error('odd'), false],
  ['nothing', undefined, false],
])('%s passes by itself: %p', (_, error, passes) => {
  expect(mayPass(error)).toBe(passes);
});

test('a refusal keeps its words, its code, its fields and what stands there now', () => {
  const errors = [{ field: 'voice.age', code: 'fault.too-high', values: { most: 120 } }];
  const problem = new ApiProblem(
    { detail: 'Too old.', code: 'INVALID', remedy: 'Look again.', errors, current: { version: 3 } },
    422,
  );
  expect([problem.message, problem.code, problem.remedy, problem.status]).toEqual([
    'Too old.',
    'INVALID',
    'Look again.',
    422,
  ]);
  expect([problem.errors, problem.current]).toEqual([errors, { version: 3 }]);
});

test('an answer without words still says something', () => {
  const problem = new ApiProblem({ detail: 7, errors: 'odd' }, 418);
  expect([problem.message, problem.code, problem.remedy, problem.errors]).toEqual([
    'The server answered 418.',
    'UNKNOWN',
    '',
    [],
  ]);
});

test.each<[unknown, boolean]>([
  [new ApiProblem({ code: 'SIGNED_OUT' }, 401), true],
  [new ApiProblem({ code: 'WRONG_PASSWORD' }, 401), false],
  [new TypeError('away'), false],
])('whether the session has ended', (error, ended) => {
  expect(isSignedOut(error)).toBe(ended);
});

test('what may pass is asked again, a refusal is not, and a signed-out session is told', async () => {
  let told = 0;
  const client = createQueryClient(() => {
    told += 1;
  });
  const retry = client.getDefaultOptions().queries?.retry as (count: number, error: unknown) => boolean;
  expect([
    retry(0, new TypeError('away')),
    retry(199, new TypeError('away')),
    retry(200, new TypeError('away')),
  ]).toEqual([true, true, false]);
  expect([retry(3, new ApiProblem({}, 500)), retry(4, new ApiProblem({}, 500))]).toEqual([true, false]);
  expect([retry(40, new ApiProblem({}, 503)), retry(0, new ApiProblem({}, 409))]).toEqual([true, false]);
  const out = new ApiProblem({ code: 'SIGNED_OUT' }, 401);
  await client.query({ queryKey: ['a'], queryFn: () => Promise.reject(out) }).catch(() => undefined);
  expect(told).toBe(1);
  client.clear();
});
