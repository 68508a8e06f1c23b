import { ReadableStream as NodeStream } from 'node:stream/web';
import '@testing-library/jest-dom';
import { notifications } from '@mantine/notifications';
import { closeSpotlight } from '@mantine/spotlight';
import { cleanup, configure } from '@testing-library/react';
import { fetchFromFake } from './fake-api.ts';

/** What the components look for in a browser and the document of the tests has not. */
class NoObserver {
  observe(): void {
    // Nothing is ever laid out here.
  }
  unobserve(): void {
    // Nothing was observed.
  }
  disconnect(): void {
    // Nothing was observed.
  }
}

const noMatch = (media: string): MediaQueryList =>
  ({
    media,
    matches: false,
    onchange: null,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
    dispatchEvent: () => false,
  }) as unknown as MediaQueryList;

Object.assign(window, { ResizeObserver: NoObserver, IntersectionObserver: NoObserver, matchMedia: noMatch });
Object.defineProperty(document, 'fonts', { value: { ready: Promise.resolve(), addEventListener: () => undefined } });
Blob.prototype.arrayBuffer = function arrayBuffer() {
  return new Promise((resolve) => {
    const reader = new FileReader();
    reader.onload = () => {
      resolve(reader.result as ArrayBuffer);
    };
    reader.readAsArrayBuffer(this);
  });
};
Blob.prototype.stream = function stream() {
  const stream = new NodeStream<Uint8Array<ArrayBuffer>>({
    start: async (pieces) => {
      pieces.enqueue(new Uint8Array(await this.arrayBuffer()));
      pieces.close();
    },
  });
  return stream as ReadableStream<Uint8Array<ArrayBuffer>>;
};
Element.prototype.scrollIntoView = () => undefined;

/** The labels of a field by its name and its place: jsdom looks through the whole page for each of them. */
function labelsOf(this: HTMLElement): HTMLLabelElement[] {
  const named = this.id === '' ? [] : document.querySelectorAll<HTMLLabelElement>(`label[for=${CSS.escape(this.id)}]`);
  const around = this.closest('label');
  return [...named, ...(around && !around.htmlFor ? [around] : [])];
}
for (const field of [HTMLInputElement, HTMLTextAreaElement, HTMLSelectElement, HTMLButtonElement])
  Object.defineProperty(field.prototype, 'labels', { get: labelsOf });

window.scrollTo = () => undefined;

globalThis.fetch = fetchFromFake;
/** What the page says, without its styles: the whole document would hide what is missing in it. */
function wordsOf(body: HTMLElement): string {
  const copy = body.cloneNode(true) as HTMLElement;
  for (const style of copy.querySelectorAll('style')) style.remove();
  return copy.textContent;
}

// React keeps a stack for every element it makes: a hundred lines of it, as the runner asks for, are a sixth of the work.
Error.stackTraceLimit = 12;

// These limits only end what hangs: on a machine half as fast a page read for the first time takes its time.
jest.setTimeout(120_000);
configure({
  asyncUtilTimeout: 20_000,
  getElementError: (message) => new Error(`${message?.split('\n')[0] ?? ''}\nThe page says: ${wordsOf(document.body)}`),
});

/** What ends after a test has ended is no fault of it. */
const LATE = 'not wrapped in act';
const complaints: string[] = [];
console.error = (...words: readonly unknown[]) => {
  const complaint = words.map(String).join(' ');
  if (!complaint.includes(LATE)) complaints.push(complaint);
};

afterEach(() => {
  cleanup();
  notifications.clean();
  closeSpotlight();
  localStorage.clear();
  // Whatever React, Mantine or the browser complain about is a defect of the page.
  expect(complaints.splice(0)).toEqual([]);
});
