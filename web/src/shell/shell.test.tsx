import { screen, waitFor, within } from '@testing-library/react';
import { keepOnDevice } from '../device/device-store.ts';
import { fill, openPage } from '../testing/open-page.tsx';
import { Answer, refusal } from '../testing/fake-api.ts';
import { OTHER_STUDENT, ROUTINE, session, STUDENT, student, studentToday } from '../testing/samples.ts';

const account = async (page: ReturnType<typeof openPage>, item: string): Promise<void> => {
  await page.user.click(await screen.findByRole('button', { name: 'Account' }));
  await page.user.click(await screen.findByRole('menuitem', { name: item }));
};

test.each(['Today', 'Students', 'Shelf', 'Log'])('%s is one press away', async (place) => {
  const { user, path } = openPage('/about');
  await user.click(await screen.findByRole('link', { name: place }));
  await waitFor(() => {
    expect(path()).toBe(`/${place.toLowerCase()}`);
  });
});

test('an address where nothing is says so, with the way back', async () => {
  openPage('/nowhere/at/all');
  expect(await screen.findByRole('heading', { name: 'There is nothing at this address.' })).toBeVisible();
  expect(screen.getByRole('link', { name: 'Back to Today' })).toBeVisible();
});

test('the front door leads to today', async () => {
  const { path } = openPage('/');
  await screen.findByRole('heading', { name: /Wednesday/ });
  expect(path()).toBe('/today');
});

test('a student is taken in hand by being looked at, and stays so', async () => {
  const { user } = openPage(`/students/${STUDENT}`);
  expect(await screen.findByRole('link', { name: /^In hand:/ })).toHaveTextContent('Maud Pellow · mezzo');
  await user.click(screen.getByRole('link', { name: 'Log' }));
  expect(await screen.findByRole('link', { name: /^In hand:/ })).toBeVisible();
});

test('students, routines and exercises are found by one search', async () => {
  const page = openPage('/log');
  await screen.findByRole('heading', { name: 'Log' });
  await page.user.keyboard('/');
  const search = await screen.findByPlaceholderText('Find anything');
  await fill(page, search, 'Maud');
  await page.user.click(await screen.findByText('student'));
  await waitFor(() => {
    expect(page.path()).toBe(`/students/${STUDENT}`);
  });
});

test('a search that finds nothing says so', async () => {
  const page = openPage('/log');
  await screen.findByRole('heading', { name: 'Log' });
  await page.user.keyboard('/');
  await fill(page, await screen.findByPlaceholderText('Find anything'), 'zzzzzz');
  expect(await screen.findByText('Nothing goes by that name.')).toBeVisible();
});

test('the keys of the keyboard are on ?, by place', async () => {
  const { user } = openPage('/log');
  await screen.findByRole('heading', { name: 'Log' });
  await user.keyboard('{Shift>}?{/Shift}');
  const sheet = await screen.findByRole('dialog');
  expect(within(sheet).getAllByRole('region').length).toBe(6);
});

test('a shared screen is said, leaves other names out, and ends in one press', async () => {
  const page = openPage('/students', {
    'GET /api/students': [student(), student({ id: OTHER_STUDENT, name: 'Nan Osier' })],
  });
  expect(await screen.findByRole('link', { name: 'Nan Osier' })).toBeVisible();
  await account(page, 'This screen is shared');
  expect(await screen.findByText(/Shared screen: other names and private lines are left out/)).toBeVisible();
  expect(screen.queryByRole('link', { name: 'Nan Osier' })).toBeNull();
  await page.user.click(screen.getByRole('button', { name: 'Only I see this screen' }));
  expect(await screen.findByRole('link', { name: 'Nan Osier' })).toBeVisible();
});

test('on a shared screen another student’s page is not shown, and one’s own has no private column', async () => {
  localStorage.setItem('soft-lark.shared-screen', 'true');
  openPage(`/students/${OTHER_STUDENT}`, {
    [`GET /api/students/${OTHER_STUDENT}/today`]: studentToday({
      student: student({ id: OTHER_STUDENT, name: 'Nan Osier', note: 'owes a fee' }),
    }),
  });
  await screen.findByRole('banner');
  await waitFor(() => {
    expect(screen.queryByText('owes a fee')).toBeNull();
  });
});

test('signing out leads to the door', async () => {
  const page = openPage('/log', { 'DELETE /api/session': new Answer(204, undefined) });
  await account(page, 'Sign out');
  await waitFor(() => {
    expect(page.path()).toBe('/enter');
  });
});

test('a session that has ended is said on the spot, and opened again over the page', async () => {
  const out = refusal(401, 'SIGNED_OUT', 'Nobody is signed in.');
  const page = openPage('/students', { 'GET /api/lessons': out, 'POST /api/session': session() });
  expect(await screen.findByText(/You are signed out/)).toBeVisible();
  await page.user.click(screen.getByRole('button', { name: 'Sign in' }));
  const dialog = within(await screen.findByRole('dialog'));
  await fill(page, dialog.getByLabelText(/^E-mail/), 'ida@example.org');
  await fill(page, dialog.getByLabelText(/^Password/), 'a long password');
  page.answer({ 'GET /api/lessons': [] });
  await page.user.click(dialog.getByRole('button', { name: 'Sign in' }));
  await waitFor(() => {
    expect(screen.queryByText(/You are signed out/)).toBeNull();
  });
  expect(page.path()).toBe('/students');
});

test('without a server the page says what this device keeps, and opens when it is back', async () => {
  keepOnDevice(`soft-lark.draft.${ROUTINE}`, JSON.stringify({ schema: 1 }));
  const page = openPage('/today', {
    'GET /api/session': () => {
      throw new TypeError('away');
    },
  });
  expect(await screen.findByRole('heading', { name: 'Soft Lark cannot be reached.' })).toBeVisible();
  expect(screen.getByText('One routine with changes that are not saved yet'.replace('One', '1'))).toBeVisible();
  page.answer({ 'GET /api/session': session() });
  await page.user.click(screen.getByRole('button', { name: 'Try again' }));
  expect(await screen.findByRole('heading', { name: /Wednesday/ }, { timeout: 5000 })).toBeVisible();
});

test('a server that is away meanwhile is said in a line, and the page stays', async () => {
  openPage('/students', {
    'GET /api/lessons': () => {
      throw new TypeError('away');
    },
  });
  expect(await screen.findByText(/No connection to Soft Lark/)).toBeVisible();
  expect(await screen.findByRole('link', { name: 'Maud Pellow' })).toBeVisible();
});
