import { useEffect, useEffectEvent, useState } from 'react';
import { devices, openStream } from '../../listening/open-stream.ts';
import { sendSoundTo } from '../../sound/output.ts';
import type { OutputDevice } from '../../sound/sound-choices.ts';

/** What can play besides the device of the system, as far as the browser tells. */
interface Outputs {
  readonly found: readonly OutputDevice[];
  /** The browser names devices only to a page that was once allowed to listen. */
  readonly areNamed: boolean;
  /** Asks for that; nothing is listened to. */
  readonly askNames: () => void;
}

/** Entries by which a browser means what the system has chosen. */
const SYSTEMS = ['', 'default', 'communications'];

async function outputs(): Promise<readonly MediaDeviceInfo[]> {
  const all = (await devices()?.enumerateDevices()) ?? [];
  return all.filter(({ kind }) => kind === 'audiooutput');
}

/** The devices that can play; the chosen one plays again once it is plugged in again. */
export function useOutputs({ id }: OutputDevice): Outputs {
  const [found, setFound] = useState<readonly MediaDeviceInfo[]>([]);
  const look = useEffectEvent(async () => {
    setFound(await outputs());
    await sendSoundTo(id);
  });
  useEffect(() => {
    const changed = (): void => void look();
    changed();
    const here = devices();
    here?.addEventListener('devicechange', changed);
    return () => {
      here?.removeEventListener('devicechange', changed);
    };
  }, []);
  return {
    found: found
      .filter(({ deviceId }) => !SYSTEMS.includes(deviceId))
      .map(({ deviceId, label }) => ({ id: deviceId, name: label })),
    areNamed: found.every(({ label }) => label !== ''),
    askNames: () => {
      openStream({ audio: true }).then(
        async (stream) => {
          for (const track of stream.getTracks()) track.stop();
          setFound(await outputs());
        },
        // Refused: the list stays as it is.
        () => undefined,
      );
    },
  };
}
