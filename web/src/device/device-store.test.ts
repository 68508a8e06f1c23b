import type * as DeviceStore from './device-store.ts';

type Store = typeof DeviceStore;

/** A device: what it holds, and whether it takes anything. */
function deviceWith(isFull = false) {
  const held = new Map<string, string>();
  const storage = {
    getItem: (key: string) => {
      if (isBlocked) throw new Error('blocked');
      return held.get(key) ?? null;
    },
    setItem: (key: string, text: string) => {
      if (isFull || isBlocked) throw new Error('full');
      held.set(key, text);
    },
    removeItem: (key: string) => {
      if (isBlocked) throw new Error('blocked');
      held.delete(key);
    },
  };
  let isBlocked = false;
  const device = Object.assign(Object.create(storage) as typeof storage, {});
  Object.defineProperty(globalThis, 'localStorage', {
    configurable: true,
    get: () =>
      new Proxy(device, {
        ownKeys: () => [...held.keys()],
        getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
      }),
  });
  return {
    held,
    block: () => {
      isBlocked = true;
    },
  };
}

let store: Store;

async function open(isFull = false) {
  jest.resetModules();
  const device = deviceWith(isFull);
  store = await import('./device-store.ts');
  return device;
}

test('what is kept is read again, and gone once it is dropped', async () => {
  await open();
  store.keepOnDevice('a', 'one');
  expect(store.readDevice('a')).toBe('one');
  store.dropFromDevice('a');
  expect(store.readDevice('a')).toBeNull();
  expect(store.deviceKeepsNothing()).toBe(false);
});

test('a device that is full loses nothing while the page is open, and says so once', async () => {
  const { held } = await open(true);
  let told = 0;
  store.onDeviceFailing(() => {
    told += 1;
  });
  store.keepOnDevice('a', 'one');
  store.keepOnDevice('a', 'two');
  expect([store.readDevice('a'), held.size, told, store.deviceKeepsNothing()]).toEqual(['two', 0, 1, true]);
});

test('a device that is blocked is no reason to stop', async () => {
  const device = await open();
  device.block();
  expect(store.readDevice('a')).toBeNull();
  store.keepOnDevice('a', 'one');
  store.dropFromDevice('b');
  expect(store.readDevice('a')).toBe('one');
  expect(store.deviceKeepsNothing()).toBe(true);
});

test('whoever does not want to be told any more is not', async () => {
  await open(true);
  let told = 0;
  const end = store.onDeviceFailing(() => {
    told += 1;
  });
  end();
  store.keepOnDevice('a', 'one');
  expect(told).toBe(0);
});

test('keys are found by how they begin', async () => {
  await open();
  for (const key of ['draft.1', 'draft.2', 'run.1']) store.keepOnDevice(key, 'x');
  expect([...store.deviceKeys('draft.')].sort()).toEqual(['draft.1', 'draft.2']);
});

test.each<[string, string]>([
  ['no JSON at all', '{"schema": 1'],
  ['of a later version', '{"schema": 99}'],
  ['something else', '"a text"'],
])('what was kept and cannot be read (%s) is put aside whole, and said', async (_, text) => {
  await open();
  let told = 0;
  store.onPutAside(() => {
    told += 1;
  });
  store.keepOnDevice('a', text);
  const read = (value: unknown): object | null => (store.isRecord(value) && value['schema'] === 1 ? value : null);
  expect(store.readParsed('a', read)).toBeNull();
  expect([store.readDevice('a'), store.readDevice('a.aside'), told]).toEqual([null, text, 1]);
});

test('what can be read is read, and nothing is put aside', async () => {
  await open();
  store.keepOnDevice('a', '{"schema": 1, "steps": []}');
  const found = store.readParsed('a', (value) => (store.isRecord(value) ? value : null));
  expect(found).toEqual({ schema: 1, steps: [] });
  expect([store.readDevice('a.aside'), store.readParsed('nothing', () => ({}))]).toEqual([null, null]);
});

test.each<[unknown, boolean]>([
  [{}, true],
  [{ a: 1 }, true],
  [[], false],
  [null, false],
  ['text', false],
])('%j is a record: %p', (value, is) => {
  expect(store.isRecord(value)).toBe(is);
});
