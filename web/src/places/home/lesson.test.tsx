import { act, screen, waitFor } from '@testing-library/react';
import { openPage } from '../../testing/open-page.tsx';

const HOME = {
  routines: [],
  voiceType: 'mezzo-soprano',
  isChild: false,
  lock: null,
  expiresAt: '2099-01-01T00:00:00Z',
};

/** What the page listens by; the test sends and breaks it. */
class SomeStream {
  static readonly CLOSED = 2;
  static last: SomeStream | undefined;
  readyState = 1;
  onopen: () => void = () => undefined;
  onerror: () => void = () => undefined;
  onmessage: (event: { readonly data: string }) => void = () => undefined;
  readonly address: string;

  constructor(address: string) {
    this.address = address;
    SomeStream.last = this;
  }

  close(): void {
    this.readyState = SomeStream.CLOSED;
  }

  send(sentAt: number, shown: object): void {
    const sound = { sentAt, inSeconds: 0, tuning: 440, sounds: [['tune', 61, 0, 0.5, 0.8]] };
    const usual = { step: 'Thirds', tonic: 61, text: 'mee', say: 'Think down as you go up.', key: 2, keys: 9 };
    this.onmessage({ data: JSON.stringify({ ...sound, shown: { ...usual, ...shown } }) });
  }
}

async function join(): Promise<{ readonly stream: SomeStream; readonly leave: () => Promise<void> }> {
  const { user } = openPage('/home/secret-token', { 'GET /api/home/*': HOME });
  await user.click(await screen.findByRole('button', { name: /^Lesson over video/ }));
  await waitFor(() => {
    expect(SomeStream.last).toBeDefined();
  });
  const stream = SomeStream.last;
  if (!stream) throw new Error('nobody listens');
  return { stream, leave: () => user.click(screen.getByRole('button', { name: 'Leave' })) };
}

beforeEach(() => {
  SomeStream.last = undefined;
  Object.assign(window, { EventSource: SomeStream });
});
afterEach(() => {
  Reflect.deleteProperty(window, 'EventSource');
});

test('what the teacher conducts is seen as it comes; what comes late is not', async () => {
  const { stream, leave } = await join();
  expect(stream.address).toBe('/api/home/secret-token/lesson');
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Waiting for the first key');
  act(() => {
    stream.onopen();
    stream.send(20, {});
  });
  expect(screen.getByText('Your teacher plays here.')).toBeVisible();
  for (const seen of ['Thirds', 'D♭', 'mee', 'Think down as you go up.', '2 of 9'])
    expect(screen.getByText(seen)).toBeVisible();
  act(() => {
    stream.send(19, { step: 'Sent before', tonic: 60 });
  });
  expect(screen.queryByText('Sent before')).toBeNull();
  act(() => {
    stream.send(21, { step: 'Long hiss', tonic: null, text: '', key: 0, keys: 0 });
  });
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Long hiss');
  expect(screen.queryByText('D♭')).toBeNull();
  expect(screen.queryByText(/ of 0/)).toBeNull();
  await leave();
  expect(stream.readyState).toBe(SomeStream.CLOSED);
});

test('a connection that is lost is tried again by itself; a link that opens nothing is said', async () => {
  const { stream } = await join();
  act(() => {
    stream.readyState = 0;
    stream.onerror();
  });
  expect(screen.getByText('The connection is gone. It is tried again by itself.')).toBeVisible();
  act(() => {
    stream.onopen();
  });
  expect(screen.getByText('Your teacher plays here.')).toBeVisible();
  act(() => {
    stream.readyState = SomeStream.CLOSED;
    stream.onerror();
  });
  expect(screen.getByText(/^This link does not open anything any more/)).toBeVisible();
});
