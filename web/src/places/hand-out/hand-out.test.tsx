import { openRoutineFile, readMidiFile } from '@soft-lark/core';
import { screen, waitFor, within } from '@testing-library/react';
import { saveFile } from '../../ui/save-file.ts';
import { openPage, type OpenedPage } from '../../testing/open-page.tsx';
import { refusal } from '../../testing/fake-api.ts';
import { ROUTINE, routine, step, STUDENT } from '../../testing/samples.ts';

jest.mock('../../ui/save-file.ts', () => ({
  ...jest.requireActual<object>('../../ui/save-file.ts'),
  saveFile: jest.fn(),
}));
const saved = jest.mocked(saveFile);

const open = (query = ''): OpenedPage =>
  openPage(`/routines/${ROUTINE}/hand-out${query}`, {
    [`GET /api/routines/${ROUTINE}`]: routine({
      steps: [
        step('long-hiss'),
        step('thirds', { settings: { cue: 'Hear it first.', start: 58 } }),
        step('straw-slides'),
      ],
    }),
  });

const rowOf = async (name: string): Promise<HTMLElement> =>
  (await screen.findByRole('heading', { name, level: 2 })).closest('li') as HTMLElement;

test('a sheet has each step with its tune, keys, counts, cue and caution', async () => {
  open();
  const thirds = await rowOf('Thirds');
  expect(thirds).toHaveTextContent(/ keys · top [A-G][♭♯]?\d · \d/);
  expect(thirds).toHaveTextContent('Hear it first.');
  expect(within(thirds).getByRole('img', { name: /^Staff notation of / })).toBeVisible();
  expect(await rowOf('Long hiss')).toHaveTextContent(/in \d.*out \d.*; \d times/);
  expect(await rowOf('Long hiss')).toHaveTextContent('! Quiet breathing between rounds; stop at any dizziness.');
  expect(screen.getByText(/^If it hurts, stop\./)).toBeVisible();
});

test('the student reads what it is for, inside the limits of home; the teacher what to watch for', async () => {
  const staffOf = (row: HTMLElement): string => within(row).getByRole('img').getAttribute('aria-label') ?? '';
  const { user } = open();
  const why = 'Small leaps teach the ear to arrive, not to slide.';
  expect(staffOf(await rowOf('Thirds'))).toMatch(/from C4$/);
  expect(screen.getByText(why)).toBeVisible();
  await user.click(screen.getByText('For the teacher'));
  expect(screen.queryByText(why)).toBeNull();
  expect(staffOf(await rowOf('Thirds'))).toMatch(/from B♭3$/);
});

test('it is printed by the browser, which keeps it as a PDF as well', async () => {
  const print = jest.fn();
  Object.assign(window, { print });
  const { user } = open('?for=teacher');
  await user.click(await screen.findByRole('button', { name: 'Print, or keep as PDF' }));
  expect(print).toHaveBeenCalledTimes(1);
});

test('work for home gets a code for a phone, on the student’s sheet alone', async () => {
  const id = '01920000-0000-7000-8000-0000000000e1';
  const made = { id, createdAt: '2026-11-25', expiresAt: '2026-12-23', openedAt: null, token: 'abc' };
  const { user, answer } = openPage(`/routines/${ROUTINE}/hand-out`, {
    [`GET /api/routines/${ROUTINE}`]: routine({ kind: 'home', steps: [step('thirds')] }),
    [`POST /api/students/${STUDENT}/home-links`]: refusal(429, 'TOO_OFTEN', 'Too many links were made.'),
  });
  await user.click(await screen.findByRole('button', { name: 'Add a practice code' }));
  expect(await screen.findByText(/Too many links were tried from here/)).toBeVisible();
  answer({ [`POST /api/students/${STUDENT}/home-links`]: made });
  await user.click(screen.getByRole('button', { name: 'Add a practice code' }));
  expect(await screen.findByTitle('The link as a picture, for the camera of a phone')).toBeInTheDocument();
  expect(screen.getByText(/until .*23/)).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Add a practice code' })).toBeNull();
  await user.click(screen.getByText('For the teacher'));
  expect(screen.queryByText(/until .*23/)).toBeNull();
});

test('what is no work for home gets no code', async () => {
  open();
  await rowOf('Thirds');
  expect(screen.queryByRole('button', { name: 'Add a practice code' })).toBeNull();
});

describe('taken along', () => {
  const take = async (what: string, query = ''): Promise<OpenedPage> => {
    const page = open(query);
    await page.user.click(await screen.findByRole('button', { name: 'Take along' }));
    await page.user.click(await screen.findByRole('menuitem', { name: new RegExp(`^${what}`) }));
    return page;
  };
  beforeEach(() => {
    saved.mockClear();
  });
  const file = async (): Promise<readonly [string, string | Uint8Array, string]> => {
    await waitFor(() => {
      expect(saved).toHaveBeenCalledTimes(1);
    });
    return saved.mock.calls[0] as [string, string, string];
  };

  test.each<[string, string, (content: string | Uint8Array) => void]>([
    [
      'MIDI',
      'mid',
      (content) => {
        expect(readMidiFile(content as Uint8Array).events.length).toBeGreaterThan(20);
      },
    ],
    [
      'MusicXML',
      'musicxml',
      (content) => {
        expect(content).toContain('<words>Thirds</words>');
      },
    ],
    [
      'ABC',
      'abc',
      (content) => {
        expect(content).toContain('T:Thirds');
      },
    ],
    [
      'Table of keys',
      'csv',
      (content) => {
        expect(content).toMatch(/Thirds,C,up,C4,G4,\d+,0:\d\d\r\n/);
      },
    ],
  ])('as %s, inside the limits of home', async (what, ending, expected) => {
    await take(what);
    const [name, content] = await file();
    expect(name).toMatch(new RegExp(`^[^ ]+\\.${ending}$`));
    expect(content).toBeTruthy();
    expected(content);
  });

  test('as a file that opens in another studio, without a name of a student', async () => {
    await take('Routine file');
    const [, content] = await file();
    expect(openRoutineFile(content as string)).toMatchObject({
      kind: 'lesson',
      steps: [{ exerciseId: 'long-hiss' }, {}, {}],
    });
    expect(content).not.toContain('Maud');
  });

  test('as a sound track, one file a step', async () => {
    const { user } = await take('Sound track');
    const dialog = await screen.findByRole('dialog', { name: 'Sound track' });
    expect(within(dialog).getByText(/^3 steps, \d:\d\d, about \d+ MB\.$/)).toBeVisible();
    await user.click(within(dialog).getByText('WAV, as recorded'));
    await user.click(within(dialog).getByText('One a step, packed'));
    await user.click(within(dialog).getByRole('button', { name: 'Make the sound track' }));
    const [name, , type] = await file();
    expect([name.endsWith('.zip'), type]).toEqual([true, 'application/zip']);
  });

  test('as a practice plan: what is too close together is said, what is asked goes into a calendar', async () => {
    const { user } = await take('Practice plan');
    const dialog = await screen.findByRole('dialog', { name: 'Practice plan' });
    const sum = within(dialog).getByText(/^3 goes a week of \d+ min\./);
    await user.click(within(dialog).getByText('Sun'));
    expect(sum).toHaveTextContent('4 goes a week');
    const [hours, minutes] = ['Hour', 'Minute'].map(
      (label) => within(dialog).getAllByLabelText(new RegExp(`^${label}`))[1],
    );
    await user.type(hours as HTMLElement, '08');
    await user.type(minutes as HTMLElement, '15');
    expect(await within(dialog).findByText('07:30 and 08:15 are less than 2 hours apart.')).toBeVisible();
    await user.click(within(dialog).getByRole('button', { name: 'Take as calendar' }));
    const [name, content] = await file();
    expect(name).toMatch(/\.ics$/);
    expect(content).toContain('BYDAY=MO,WE,FR,SU');
  });
});
