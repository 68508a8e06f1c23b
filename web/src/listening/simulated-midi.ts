const NOTE_ON = 0x90;
const CONTROL_CHANGE = 0xb0;
const SUSTAIN = 64;
const ALL_THE_WAY = 127;
const USUAL_FORCE = 90;

interface Port extends EventTarget {
  state: string;
  connection: string;
  onmidimessage: ((event: { readonly data: Uint8Array; readonly timeStamp: number }) => void) | null;
}

/** A keyboard that is not there, for whoever has none at hand. */
export interface SimulatedMidi {
  /** Presses a key, MIDI number. */
  readonly press: (midi: number) => void;
  /** Presses its pedal and lets it go. */
  readonly pedal: () => void;
  readonly pullOut: () => void;
}

/**
 * Puts a simulated MIDI keyboard in the place of the browser's own interface, until the page is left. Whatever listens
 * to MIDI hears its keys, and hears it go, as it would a real one.
 */
export function plugInSimulatedMidi(): SimulatedMidi {
  const port: Port = Object.assign(new EventTarget(), {
    id: 'simulated',
    name: 'Simulated keyboard',
    manufacturer: '',
    version: '',
    type: 'input',
    state: 'connected',
    connection: 'open',
    onmidimessage: null as Port['onmidimessage'],
    open: () => Promise.resolve(port),
    close: () => Promise.resolve(port),
  });
  const access = {
    inputs: new Map([['simulated', port]]),
    outputs: new Map(),
    sysexEnabled: false,
    onstatechange: null as ((event: { readonly port: Port; readonly timeStamp: number }) => void) | null,
  };
  Object.defineProperty(navigator, 'requestMIDIAccess', {
    configurable: true,
    value: () => Promise.resolve(access),
  });
  const send = (...data: readonly number[]): void => {
    port.onmidimessage?.({ data: new Uint8Array(data), timeStamp: performance.now() });
  };
  return {
    press: (midi) => {
      send(NOTE_ON, midi, USUAL_FORCE);
    },
    pedal: () => {
      send(CONTROL_CHANGE, SUSTAIN, ALL_THE_WAY);
      send(CONTROL_CHANGE, SUSTAIN, 0);
    },
    pullOut: () => {
      access.inputs.clear();
      port.state = 'disconnected';
      port.connection = 'pending';
      access.onstatechange?.({ port, timeStamp: performance.now() });
    },
  };
}
