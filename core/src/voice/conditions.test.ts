import {
  BURDENS,
  CONDITIONS,
  conditionRow,
  dayIs,
  isRested,
  strongest,
  toggledCondition,
  type Condition,
} from './index.ts';

test('conditions are offered from the lightest on, and only fresh weighs nothing', () => {
  expect(CONDITIONS).toEqual(['fresh', 'heavy', 'tired', 'recovering']);
  expect(BURDENS).toEqual(['heavy', 'tired', 'recovering']);
  for (const name of BURDENS) {
    const { lower } = conditionRow(name);
    expect(lower && lower.least <= lower.usual && lower.usual <= lower.most).toBe(true);
  }
});

test.each<[readonly Condition[], boolean, boolean, boolean]>([
  [[], true, false, false],
  [['fresh'], true, false, false],
  [['heavy'], false, true, false],
  [['tired'], false, false, true],
  [['heavy', 'recovering'], false, true, true],
])('a day that is %j: rested %p, low %p, worn %p', (conditions, rested, low, worn) => {
  expect([isRested(conditions), dayIs(conditions, 'low'), dayIs(conditions, 'worn')]).toEqual([rested, low, worn]);
});

test.each<[readonly Condition[], string | undefined, string | undefined]>([
  [[], undefined, undefined],
  [['heavy'], undefined, undefined],
  [['tired', 'heavy'], 'tired', 'minutes'],
  [['tired', 'recovering'], 'recovering', 'sung'],
  [['recovering', 'tired'], 'recovering', 'sung'],
])('the strongest of %j speaks for the plan and the occluded work', (conditions, plan, occluded) => {
  expect([strongest(conditions, 'plan'), strongest(conditions, 'occluded')?.of]).toEqual([plan, occluded]);
});

test.each<[readonly Condition[], Condition, readonly Condition[]]>([
  [[], 'fresh', ['fresh']],
  [['fresh'], 'fresh', []],
  [['fresh'], 'tired', ['tired']],
  [['tired'], 'heavy', ['tired', 'heavy']],
  [['tired', 'heavy'], 'fresh', ['fresh']],
  [['tired', 'heavy'], 'tired', ['heavy']],
])('%j and a press on %s', (before, pressed, after) => {
  expect(toggledCondition(before, pressed)).toEqual(after);
});
