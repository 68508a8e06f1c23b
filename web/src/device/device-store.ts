/** What this device keeps by itself, as text by key. A device that is full or keeps nothing is no reason to stop work. */

const kept = new Map<string, string>();
const listeners = new Set<() => void>();
let isFailing = false;

function failed(): void {
  if (isFailing) return;
  isFailing = true;
  for (const listener of listeners) listener();
}

/** The text of a key: from the device, or from memory where the device did not take it. */
export function readDevice(key: string): string | null {
  const inMemory = kept.get(key);
  if (inMemory !== undefined) return inMemory;
  try {
    return localStorage.getItem(key);
  } catch {
    failed();
    return null;
  }
}

/** Keeps a text on the device; where that is full or blocked, in memory for as long as the page is open. */
export function keepOnDevice(key: string, text: string): void {
  try {
    localStorage.setItem(key, text);
    kept.delete(key);
  } catch {
    kept.set(key, text);
    failed();
  }
}

export function dropFromDevice(key: string): void {
  kept.delete(key);
  try {
    localStorage.removeItem(key);
  } catch {
    failed();
  }
}

/** Whether the device has refused to keep something since the page was opened. */
export function deviceKeepsNothing(): boolean {
  return isFailing;
}

/** Calls when the device begins to refuse. @returns what ends the calls */
export function onDeviceFailing(listener: () => void): () => void {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
}

/** Every key the device has that begins so. */
export function deviceKeys(prefix: string): readonly string[] {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(prefix));
  } catch {
    return [...kept.keys()].filter((key) => key.startsWith(prefix));
  }
}

const ASIDE = '.aside';

/**
 * What is kept under a key, written by this page in some schema or not at all.
 *
 * @param read reads what was parsed; null where it is none of ours
 * @returns null where nothing is kept, or where what is there cannot be read; then it is put aside, whole, under `<key>.aside`
 */
export function readParsed<T>(key: string, read: (value: unknown) => T | null): T | null {
  const text = readDevice(key);
  if (text === null) return null;
  const value = parsed(text);
  const known = value === undefined ? null : read(value);
  if (known !== null) return known;
  keepOnDevice(key + ASIDE, text);
  dropFromDevice(key);
  for (const listener of asideListeners) listener();
  return null;
}

const asideListeners = new Set<() => void>();

/** Calls whenever something that cannot be read was put aside. @returns what ends the calls */
export function onPutAside(listener: () => void): () => void {
  asideListeners.add(listener);
  return () => {
    asideListeners.delete(listener);
  };
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

export function isRecord(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
