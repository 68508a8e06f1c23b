import { screen, waitFor, within } from '@testing-library/react';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { refusal } from '../../testing/fake-api.ts';
import { session } from '../../testing/samples.ts';

const CODES = ['aaaa-bbbb', 'cccc-dddd'];

/** The form that is open. */
const form = () => within(screen.getByRole('region'));

async function enter(path = '/enter', answers = {}): Promise<OpenedPage> {
  const page = openPage(path, answers);
  await screen.findByRole('button', { name: 'Open the demo studio' });
  return page;
}

async function askForStudio(user: OpenedPage['user']): Promise<void> {
  await user.click(screen.getByRole('button', { name: 'New studio' }));
  await user.type(await form().findByLabelText(/^Name of the studio/), 'Reed Bank');
  await user.type(form().getByLabelText(/^Your name/), 'Ida Tern');
  await user.type(form().getByLabelText(/^E-mail/), 'ida@example.org');
  await user.type(form().getByLabelText(/^Password, ten/), 'a long password');
  await user.click(screen.getByRole('button', { name: 'Open my studio' }));
}

test('somebody who is signed out is asked to sign in, and comes back to where they were going', async () => {
  const out = refusal(401, 'SIGNED_OUT', 'Nobody is signed in.');
  const { user, answer, path, sent } = openPage('/log?student=all', {
    'GET /api/session': out,
    'POST /api/session': session(),
  });
  await screen.findByRole('region', { name: 'Sign in' });
  await user.type(form().getByLabelText(/^E-mail/), 'ida@example.org');
  await user.type(form().getByLabelText(/^Password/), 'a long password');
  answer({ 'GET /api/session': session() });
  await user.click(form().getByRole('button', { name: 'Sign in' }));
  expect(await screen.findByRole('heading', { name: 'Log' })).toBeVisible();
  expect(path()).toBe('/log?student=all');
  expect(sent[0]).toEqual({
    what: 'POST /api/session',
    body: { email: 'ida@example.org', password: 'a long password' },
  });
});

test('another site’s address is not gone to', async () => {
  const { user, path } = await enter('/enter?to=//elsewhere.example', { 'POST /api/demo/session': session() });
  await user.click(screen.getByRole('button', { name: 'Open the demo studio' }));
  await waitFor(() => {
    expect(path()).toBe('/today');
  });
});

test('a wrong password is said, and what was typed stays', async () => {
  const { user } = await enter('/enter', {
    'POST /api/session': refusal(401, 'WRONG_PASSWORD', 'No.', { values: { context: 'sign-in' } }),
  });
  await user.type(form().getByLabelText(/^E-mail/), 'ida@example.org');
  await user.type(form().getByLabelText(/^Password/), 'wrong');
  await user.click(form().getByRole('button', { name: 'Sign in' }));
  expect(await screen.findByText(/e-mail address and password do not go together/)).toBeVisible();
  expect(form().getByLabelText(/^E-mail/)).toHaveValue('ida@example.org');
});

test('a new studio is opened once its recovery codes were kept', async () => {
  const { user, path, sent } = await enter('/enter', { 'POST /api/studios': { ...session(), codes: CODES } });
  await askForStudio(user);
  const dialog = await screen.findByRole('dialog', { name: 'Write these down' });
  for (const code of CODES) expect(within(dialog).getByText(code)).toBeVisible();
  expect(path()).toBe('/enter');
  await user.click(within(dialog).getByRole('button', { name: 'I have kept them' }));
  await waitFor(() => {
    expect(path()).toBe('/today');
  });
  expect(sent[0]?.body).toMatchObject({ studioName: 'Reed Bank', name: 'Ida Tern', email: 'ida@example.org' });
});

test('a refusal of the sign-up stands at its field', async () => {
  const { user } = await enter('/enter', {
    'POST /api/studios': refusal(400, 'BAD_BODY', 'This cannot be stored.', {
      errors: [{ field: 'email', message: 'as in the log', code: 'fault.has-account' }],
    }),
  });
  await askForStudio(user);
  expect((await screen.findAllByText('has an account already'))[0]).toBeVisible();
});

test('a lost password is set anew with a recovery code', async () => {
  const { user, sent } = await enter('/enter', { 'POST /api/account/recovery': { ...session(), codes: CODES } });
  await user.click(screen.getByRole('button', { name: 'Lost the password?' }));
  await user.type(await form().findByLabelText(/^A recovery code/), 'aaaa-bbbb');
  await user.type(form().getByLabelText(/^E-mail/), 'ida@example.org');
  await user.type(form().getByLabelText(/^Password, ten/), 'another password');
  await user.click(screen.getByRole('button', { name: 'Set a new password and open' }));
  expect(await screen.findByRole('dialog', { name: 'Write these down' })).toBeVisible();
  expect(sent[0]?.body).toEqual({ email: 'ida@example.org', code: 'aaaa-bbbb', password: 'another password' });
});
