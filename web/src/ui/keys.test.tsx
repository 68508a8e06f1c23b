import { screen, waitFor, within } from '@testing-library/react';
import { openPage, type OpenedPage } from '../testing/open-page.tsx';
import { ROUTINE, routine, step } from '../testing/samples.ts';

async function openBench(): Promise<OpenedPage> {
  const page = openPage(`/routines/${ROUTINE}`, {
    [`GET /api/routines/${ROUTINE}`]: routine({ steps: [step('thirds'), step('falling-hum')] }),
  });
  await screen.findByRole('button', { name: /^Add a step/ });
  return page;
}

async function openSheet({ user }: OpenedPage): Promise<HTMLElement> {
  await user.keyboard('?');
  return screen.findByRole('dialog', { name: 'Keys' });
}

async function shut({ user }: OpenedPage): Promise<void> {
  await user.keyboard('{Escape}');
  await waitFor(() => {
    expect(screen.queryByRole('dialog')).toBeNull();
  });
}

test('single keys are turned off, and on again', async () => {
  const page = await openBench();
  await page.user.click(within(await openSheet(page)).getByRole('switch', { name: /Single keys act/ }));
  await shut(page);
  await page.user.keyboard('a?');
  expect(screen.queryByRole('dialog')).toBeNull();
  await page.user.click(screen.getByRole('button', { name: 'Account' }));
  await page.user.click(await screen.findByRole('menuitem', { name: 'Keys' }));
  await page.user.click(await screen.findByRole('switch', { name: /Single keys act/ }));
  await shut(page);
  await page.user.keyboard('a');
  expect(await screen.findByRole('dialog', { name: 'Add from the shelf' })).toBeVisible();
});

test('the sheet says what the terms mean that stand on the page, in its fields too, and no others', async () => {
  const page = await openBench();
  const words = within(within(await openSheet(page)).getByRole('region', { name: 'Words on this screen' }));
  const terms = words.getAllByRole('term').map(({ textContent }) => textContent);
  expect(terms).toContain('bridge, passaggio');
  expect(terms).toContain('tired day');
  expect(terms).not.toContain('grit');
});

test('a key is changed to one that is free, and the old one does nothing', async () => {
  const page = await openBench();
  const keys = within(await openSheet(page));
  await page.user.click(keys.getByRole('button', { name: /^add a step: A\./ }));
  await page.user.keyboard('d');
  expect(keys.getByRole('button', { name: /^add a step: A\./ })).toBeVisible();
  await page.user.keyboard('w');
  expect(keys.getByRole('button', { name: /^add a step: W\./ })).toBeVisible();
  await shut(page);
  await page.user.keyboard('a');
  expect(screen.queryByRole('dialog')).toBeNull();
  await page.user.keyboard('w');
  expect(await screen.findByRole('dialog', { name: 'Add from the shelf' })).toBeVisible();
});

test('no key acts through a dialog or a menu', async () => {
  const page = await openBench();
  await openSheet(page);
  await page.user.keyboard('a/');
  expect(screen.getAllByRole('dialog')).toHaveLength(1);
  await shut(page);
  await page.user.click(screen.getByRole('button', { name: 'More' }));
  await screen.findByRole('menu');
  await page.user.keyboard('a');
  expect(screen.queryByRole('dialog')).toBeNull();
});

test('a pedal has the key it sends, unless a single key or the other pedal has it', async () => {
  const page = await openBench();
  const keys = within(await openSheet(page));
  await page.user.click(keys.getByRole('button', { name: /^a pedal: next key: page down\./ }));
  await page.user.keyboard('s{PageUp}{Shift}');
  expect(keys.getByRole('button', { name: /^a pedal: next key: page down\./ })).toBeVisible();
  await page.user.keyboard('{ArrowDown}');
  expect(keys.getByRole('button', { name: /^a pedal: next key: ↓\./ })).toBeVisible();
  await page.user.click(keys.getByRole('button', { name: 'Put all keys back' }));
  expect(keys.getByRole('button', { name: /^a pedal: next key: page down\./ })).toBeVisible();
});
