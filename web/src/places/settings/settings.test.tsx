import { screen, waitFor, within } from '@testing-library/react';
import type { Schemas } from '../../api/client.ts';
import { fill, openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { Answer, refusal } from '../../testing/fake-api.ts';
import { RUN, studio } from '../../testing/samples.ts';

type Studio = Schemas['StudioDto'];
const SAVE = 'PUT /api/studio';
const CODES = { codes: ['aaaa-bbbb', 'cccc-dddd'] };

async function open(tab = '', change: Partial<Studio> = {}, answers = {}): Promise<OpenedPage> {
  const page = openPage(`/settings${tab}`, {
    'GET /api/studio': studio({ version: 4, ...change }),
    [SAVE]: (body: unknown) => ({ ...(body as Studio), version: 5 }),
    ...answers,
  });
  await screen.findByRole('heading', { name: 'Settings' });
  return page;
}

async function saved({ user, sent }: OpenedPage): Promise<Studio> {
  await user.click(await screen.findByRole('button', { name: 'Save' }));
  await waitFor(() => {
    expect(sent.length).toBeGreaterThan(0);
  });
  return sent.at(-1)?.body as Studio;
}

async function choose({ user }: OpenedPage, label: string, option: RegExp | string): Promise<void> {
  await user.click(await screen.findByRole('combobox', { name: label }));
  await user.click(await screen.findByRole('option', { name: option }));
}

test('nothing is sent before something is changed', async () => {
  await open();
  expect(await screen.findByRole('button', { name: 'Save' })).toBeDisabled();
});

test('the name of the studio is changed, or left as it was', async () => {
  const page = await open();
  const name = await screen.findByLabelText('Name of the studio');
  await fill(page, name, 'Reed Bank');
  await page.user.click(screen.getByRole('button', { name: 'Leave it as it was' }));
  expect(name).toHaveValue('Tern Lock');
  await fill(page, name, 'Reed Bank');
  expect(await saved(page)).toMatchObject({ name: 'Reed Bank', version: 4 });
});

test.each<[string, RegExp, string]>([
  ['German names', /^German names/, 'german'],
  ['letters and strokes', /^Letters and strokes/, 'helmholtz'],
  ['fixed do', /^Fixed do/, 'fixed-do'],
])('notes are named by %s, and a few of them are shown so', async (_, option, scheme) => {
  const page = await open();
  await choose(page, 'Note names', option);
  expect((await saved(page)).noteNaming.scheme).toBe(scheme);
});

test('an answer of the approach is chosen and sent', async () => {
  const page = await open('/approach');
  await choose(page, 'Travel through the keys', 'rise only');
  expect((await saved(page)).approach).toEqual({ travel: 'rise-only' });
});

test('what another approach would alter is said before it is saved', async () => {
  const page = await open('/approach');
  await choose(page, 'Travel through the keys', 'rise only');
  expect(await screen.findByText(/One routine on a plain day|Nothing in the routines/)).toBeVisible();
});

test('questions before the cool-down: the usual three, one taken out, none left empty', async () => {
  const page = await open('/approach');
  await page.user.click(await screen.findByRole('button', { name: 'Take the usual three' }));
  await page.user.click(screen.getByRole('button', { name: 'Take out question 2' }));
  await page.user.click(screen.getByRole('button', { name: 'Ask one more' }));
  expect(screen.getByText('Write the question, or take it out')).toBeVisible();
  expect(screen.getByRole('button', { name: 'Save' })).toBeDisabled();
  await fill(page, screen.getByLabelText('Question 3'), 'Does it ring?');
  const { readyQuestions } = await saved(page);
  expect(readyQuestions.map(({ text }) => text).at(-1)).toBe('Does it ring?');
  expect(readyQuestions).toHaveLength(3);
});

test('an overlay of the studio’s own is written, says what it has to do with, and is not kept unfinished', async () => {
  const page = await open('/approach');
  await page.user.click(await screen.findByRole('button', { name: 'Add one' }));
  expect(screen.getByRole('button', { name: 'Save' })).toBeDisabled();
  expect(screen.getByText('Give it a name, or take it out')).toBeVisible();
  await fill(page, screen.getByLabelText('Name 1'), 'A book on the head');
  await fill(page, screen.getByLabelText('What is done'), 'It stays where it is.');
  await page.user.click(screen.getByLabelText('neck or shoulders'));
  const { ownOverlays } = await saved(page);
  expect(ownOverlays).toMatchObject([
    { name: 'A book on the head', text: 'It stays where it is.', setUpSeconds: 10, touches: ['neck'] },
  ]);
});

test('a figure of the rule table is changed, named as the studio’s, and put back', async () => {
  const page = await open('/rules');
  const figure = await screen.findByLabelText('First sung steps that stay modest');
  const usual = (figure as HTMLInputElement).value;
  await fill(page, figure, '4');
  await page.user.click(screen.getByRole('button', { name: `Back to ${usual}` }));
  expect(figure).toHaveValue(usual);
  await fill(page, figure, '4');
  expect((await saved(page)).rules).toEqual({ 'opening.sungSteps': 4 });
});

test('settings that another window changed keep what was typed here', async () => {
  const page = await open(
    '',
    {},
    { [SAVE]: refusal(409, 'STALE_WRITE', 'Changed.', { current: studio({ version: 9 }) }) },
  );
  await fill(page, await screen.findByLabelText('Name of the studio'), 'Reed Bank');
  await saved(page);
  expect(await screen.findByText(/were changed in another window/)).toBeVisible();
  expect(screen.getByLabelText('Name of the studio')).toHaveValue('Reed Bank');
  page.answer({ [SAVE]: (body: unknown) => body });
  await page.user.click(screen.getByRole('button', { name: 'Save mine over it' }));
  await waitFor(() => {
    expect(page.sent.at(-1)?.body).toMatchObject({ name: 'Reed Bank', version: 9 });
  });
});

test('the password is changed, and the new codes are shown', async () => {
  const page = await open('/account', {}, { 'POST /api/account/password': CODES });
  const form = within(screen.getByRole('group', { name: 'Password' }));
  await fill(page, form.getByLabelText(/^The password now/), 'old password');
  await fill(page, form.getByLabelText(/^A new one/), 'a newer password');
  await page.user.click(form.getByRole('button', { name: 'Change it' }));
  expect(await screen.findByText(/every other device is signed out/i)).toBeVisible();
  expect(screen.getByText('aaaa-bbbb')).toBeVisible();
  expect(page.sent[0]?.body).toEqual({ current: 'old password', next: 'a newer password' });
});

test('a wrong password makes no new codes, and says so', async () => {
  const page = await open(
    '/account',
    {},
    { 'POST /api/account/recovery-codes': refusal(403, 'WRONG_PASSWORD', 'That is not the password.') },
  );
  const form = within(screen.getByRole('group', { name: 'Recovery codes' }));
  await fill(page, form.getByLabelText(/^Your password/), 'no');
  await page.user.click(form.getByRole('button', { name: 'Make new codes' }));
  expect(await form.findByText(/That is not the password/)).toBeVisible();
});

test('an account is closed only with its password, and nobody is signed in after it', async () => {
  const page = await open('/account', {}, { 'DELETE /api/account': new Answer(204, undefined) });
  const form = within(screen.getByRole('group', { name: 'Close the account' }));
  const button = form.getByRole('button', { name: 'Delete all of it' });
  expect(button).toBeDisabled();
  await fill(page, form.getByLabelText(/^Your password/), 'a long password');
  await page.user.click(button);
  await waitFor(() => {
    expect(page.path()).toBe('/enter');
  });
});

test('sessions elsewhere are ended, this one is not', async () => {
  const open1 = { openedAt: '2026-11-20T10:00:00Z', seenAt: '2026-11-25T10:00:00Z' };
  const page = await open(
    '/account',
    {},
    {
      'GET /api/account/sessions': [
        { id: RUN, device: 'Tablet', isThis: false, ...open1 },
        { id: 'here', device: '', isThis: true, ...open1 },
      ],
      [`DELETE /api/account/sessions/${RUN}`]: new Answer(204, undefined),
    },
  );
  expect(await screen.findByText('a device that gave no name')).toBeVisible();
  expect(screen.getByText('this one')).toBeVisible();
  await page.user.click(screen.getByRole('button', { name: 'End the session on Tablet' }));
  expect(page.sent[0]?.what).toBe(`DELETE /api/account/sessions/${RUN}`);
});

test('times are written with twelve hours where the studio says so, in fields too', async () => {
  const page = await open();
  await choose(page, 'Times are written', /^3:30 pm/);
  await fill(page, screen.getByLabelText('Minutes of a warm-up, usually'), '15');
  expect(await saved(page)).toMatchObject({ clock: '12', usualMinutes: 15 });
});

test('a figure of the rule table out of bounds stays as typed, says so, and shows nothing that it would alter', async () => {
  const page = await open('/rules');
  const tired = await screen.findByLabelText('Tired today: ceiling lower by');
  await fill(page, tired, '99');
  expect(screen.getByText(/^from \d to \d$/)).toBeVisible();
  expect(await screen.findByText(/“Tired today: ceiling lower by” is 99/)).toBeVisible();
  await fill(page, tired, '4');
  expect(await screen.findByRole('region', { name: 'What this would alter' })).toBeVisible();
  expect((await saved(page)).rules).toEqual({ 'condition.tired': 4 });
});

test('groups of rules are jumped to, and say how many figures are the studio’s own', async () => {
  await open('/rules', { rules: { 'belt.tenor': 66 } });
  const jump = within(await screen.findByRole('navigation', { name: 'Groups of rules' }));
  const belt = jump.getByRole('link', { name: 'Belt 1' });
  expect(document.querySelector(belt.getAttribute('href') ?? '')).toHaveTextContent('Belt');
});

test('another address is sent with the password, and said', async () => {
  const page = await open('/account', {}, { 'POST /api/account/email': null });
  expect(await screen.findByText('You sign in with ida@example.org.')).toBeVisible();
  const form = within(screen.getByRole('group', { name: 'E-mail' }));
  await fill(page, form.getByLabelText(/^A new address/), 'tern@example.org');
  await fill(page, form.getByLabelText(/^Your password/), 'ten plain characters');
  await page.user.click(form.getByRole('button', { name: 'Change it' }));
  expect(await form.findByText('Changed. Sign in with it from now on.')).toBeVisible();
  expect(page.sent[0]?.body).toEqual({ email: 'tern@example.org', password: 'ten plain characters' });
});

describe('the studio as a file', () => {
  const CONTENTS: Schemas['StudioFileDto'] = {
    studioName: 'Weir House',
    madeAt: '2026-11-20T18:00:00Z',
    isSame: false,
    counts: [
      { table: 'student', inFile: 12, here: 3 },
      { table: 'run', inFile: 940, here: 8 },
    ],
  };
  const give = async (answers: object): Promise<OpenedPage> => {
    const page = await open('/file', {}, answers);
    const input = document.querySelector('input[type=file]') as HTMLInputElement;
    await page.user.upload(input, new File(['…'], 'weir-house.softlark.gz'));
    return page;
  };

  test('is taken by the browser itself', async () => {
    await open('/file');
    expect(screen.getByRole('link', { name: 'Take the file' })).toHaveAttribute('href', '/api/studio/file');
  });

  test('both are shown before what is here is replaced, and then everything is asked for again', async () => {
    const { user, sent } = await give({
      'POST /api/studio/file/compare': CONTENTS,
      'POST /api/studio/file/restore': CONTENTS,
    });
    const dialog = await screen.findByRole('dialog', { name: 'Restore this file?' });
    expect(within(dialog).getByText(/^Weir House, taken on/)).toHaveTextContent('It comes from another studio');
    expect(within(dialog).getByRole('row', { name: 'Students 12 3' })).toBeVisible();
    expect(sent.map(({ what }) => what)).toEqual(['POST /api/studio/file/compare']);
    await user.click(within(dialog).getByRole('button', { name: 'Replace what is here' }));
    expect(await screen.findByText('The studio is as it was in the file.')).toBeVisible();
    expect(sent.at(-1)?.what).toBe('POST /api/studio/file/restore');
    await waitFor(() => {
      expect(screen.queryByRole('dialog')).toBeNull();
    });
  });

  test('a file that cannot be taken in is said, and offers nothing', async () => {
    await give({
      'POST /api/studio/file/compare': refusal(422, 'BROKEN_FILE', 'It ends.', { values: { context: 'studio' } }),
    });
    expect(await screen.findByRole('alert')).toHaveTextContent('This is no whole file of a studio, or it was changed.');
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  test('a backup that is being made says how far it is, and is called off', async () => {
    const list = { isOn: true, isBeingMade: true, share: 0.42, trouble: null, backups: [] };
    const page = await open(
      '/file',
      {},
      {
        'GET /api/studio/backups': list,
        'DELETE /api/studio/backups': { ...list, isBeingMade: false, share: 0 },
      },
    );
    expect(await screen.findByRole('progressbar', { name: /42 % is written/ })).toHaveAttribute('aria-valuenow', '42');
    await page.user.click(screen.getByRole('button', { name: 'Call it off' }));
    expect(await screen.findByRole('button', { name: 'Make one now' })).toBeEnabled();
    expect(page.sent.map(({ what }) => what)).toEqual(['DELETE /api/studio/backups']);
  });
});
