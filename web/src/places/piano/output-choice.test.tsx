import { screen, waitFor } from '@testing-library/react';
import { sendSoundTo, soundContext } from '../../sound/output.ts';
import type { OpenedPage } from '../../testing/open-page.tsx';
import { step } from '../../testing/samples.ts';
import { sing } from '../../testing/sing.ts';

const HEADSET = { kind: 'audiooutput', deviceId: 'headset', label: 'Headset' };
const USUAL = { kind: 'audiooutput', deviceId: 'default', label: 'Default' };
const EAR = { kind: 'audioinput', deviceId: 'ear', label: 'Microphone' };

/** What is plugged in, and where the sound was sent. */
const room = { plugged: [USUAL], sent: [] as string[], changed: new EventTarget(), isNamed: true };

class SomeContext {
  resume(): Promise<void> {
    return Promise.resolve();
  }

  setSinkId(id: string): Promise<void> {
    const isThere = id === '' || room.plugged.some(({ deviceId }) => deviceId === id);
    if (isThere) room.sent.push(id);
    return isThere ? Promise.resolve() : Promise.reject(new DOMException('gone', 'NotFoundError'));
  }
}

beforeEach(() => {
  Object.assign(room, { plugged: [USUAL, HEADSET, EAR], sent: [], isNamed: true });
  Object.assign(window, { AudioContext: SomeContext });
  const devices = Object.assign(room.changed, {
    enumerateDevices: () =>
      Promise.resolve(room.plugged.map((one) => (room.isNamed ? one : { ...one, deviceId: '', label: '' }))),
    getUserMedia: () => {
      room.isNamed = true;
      return Promise.resolve({ getTracks: () => [{ stop: () => undefined }] });
    },
  });
  Object.defineProperty(navigator, 'mediaDevices', { configurable: true, value: devices });
  localStorage.clear();
  soundContext();
});

afterEach(() => {
  Reflect.deleteProperty(window, 'AudioContext');
  Reflect.deleteProperty(navigator, 'mediaDevices');
  localStorage.clear();
});

async function openSound(): Promise<OpenedPage> {
  const page = await sing([step('thirds')]);
  await page.user.click(screen.getByRole('button', { name: 'Sound' }));
  return page;
}

test('sound is sent to a device by name; unplugged it is said, plugged in again it plays there', async () => {
  const { user } = await openSound();
  await user.click(await screen.findByRole('combobox', { name: 'Heard from' }));
  expect((await screen.findAllByRole('option')).map(({ textContent }) => textContent)).toEqual([
    'as this computer is set',
    'Headset',
  ]);
  await user.click(screen.getByRole('option', { name: 'Headset' }));
  await waitFor(() => {
    expect(room.sent.at(-1)).toBe('headset');
  });
  room.plugged = [USUAL];
  room.changed.dispatchEvent(new Event('devicechange'));
  expect(await screen.findByText(/^It is not plugged in/)).toBeVisible();
  expect(room.sent.at(-1)).toBe('');
  room.plugged = [USUAL, HEADSET];
  room.changed.dispatchEvent(new Event('devicechange'));
  await waitFor(() => {
    expect(room.sent.at(-1)).toBe('headset');
  });
  expect(screen.queryByText(/^It is not plugged in/)).toBeNull();
});

test('devices without names are named on wish', async () => {
  room.isNamed = false;
  const { user } = await openSound();
  await user.click(await screen.findByRole('button', { name: /^Show devices by name/ }));
  await waitFor(() => {
    expect(screen.queryByRole('button', { name: /^Show devices by name/ })).toBeNull();
  });
});

test('a device that is not there leaves the sound where the system plays', async () => {
  expect(await sendSoundTo('headset')).toBe(true);
  expect(await sendSoundTo('nowhere')).toBe(false);
  expect(room.sent).toEqual(['headset', '']);
});
