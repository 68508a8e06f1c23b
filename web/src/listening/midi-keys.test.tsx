import { startMidiKeys } from './midi-keys.ts';
import { plugInSimulatedMidi } from './simulated-midi.ts';

test('two listen to one keyboard; when one stops, the other goes on, and after both nothing is heard', async () => {
  const keyboard = plugInSimulatedMidi();
  const heard: string[] = [];
  const listen = (name: string): ReturnType<typeof startMidiKeys> =>
    startMidiKeys(
      (midi) => heard.push(`${name} ${String(midi)}`),
      () => heard.push(`${name} gone`),
      () => heard.push(`${name} pedal`),
    );
  const hands = await listen('hands');
  const dialog = await listen('dialog');
  keyboard.press(60);
  dialog.stop();
  keyboard.press(62);
  keyboard.pedal();
  expect(heard).toEqual(['hands 60', 'dialog 60', 'hands 62', 'hands pedal']);
  hands.stop();
  keyboard.press(64);
  expect(heard).toHaveLength(4);
  const again = await listen('again');
  keyboard.press(65);
  expect(heard.at(-1)).toBe('again 65');
  again.stop();
});
