import { screen, within } from '@testing-library/react';
import { openPage } from '../../testing/open-page.tsx';
import { student, STUDENT, studentToday, voice } from '../../testing/samples.ts';

const ranges = [70, 70, 71, 70, 74, 74, 74, 75].map((highest, at) => ({
  ...{ date: `2026-10-0${String(at + 1)}`, lowest: 57, highest, plannedHighest: null, isOrdinary: true },
}));
const answers = {
  [`GET /api/students/${STUDENT}/today`]: studentToday({
    student: student({ voice: voice({ goals: ['bridge', 'agility'] }) }),
  }),
  [`GET /api/students/${STUDENT}/progress`]: {
    ...{ ranges, notes: [], ease: [], courses: [] },
    weeks: [{ from: '2026-09-28', minutes: 64, mark: null }],
    stages: [{ stage: 'middle', minutes: 40 }],
    stoodStill: [{ exerciseId: 'thirds', since: '2026-10-01', runs: 5 }],
  },
};

test('the term in four questions; the teacher’s words stay and are printed on top', async () => {
  const { user, path } = openPage(`/students/${STUDENT}/progress`, answers);
  await user.click(await screen.findByRole('link', { name: 'Review of the term' }));
  expect(path()).toBe(`/students/${STUDENT}/review`);
  const saidOf = (name: string): string => screen.getByRole('region', { name }).textContent;
  await screen.findByRole('region', { name: 'What moved' });
  expect(saidOf('What was trained')).toMatch(/8 warm-ups.*was middle work\./);
  expect(saidOf('What moved')).toMatch(/from B♭4 to D5/);
  expect(saidOf('What was never touched')).toMatch(/The goal bridge.*The goal agility/);
  expect(within(screen.getByRole('region', { name: 'What to do next' })).getAllByRole('listitem')).toHaveLength(3);
  const typed = screen.getByRole('textbox', { name: 'In your words' });
  await user.type(typed, 'A good term.');
  expect(typed).toHaveValue('A good term.');
  expect(screen.getAllByText('A good term.')).toHaveLength(2);
});

test('a student without runs has a review all the same', async () => {
  openPage(`/students/${STUDENT}/review`);
  expect(await screen.findByText('Too few ordinary runs to say whether the range moved.')).toBeVisible();
});
