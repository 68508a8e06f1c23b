// A lesson that plays on by itself while both cores are busy: where each sound really stands in what was rendered.
import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import { chromium as playwright } from '@playwright/test';
import { median, openDemo } from './page-steps.mjs';

const MINUTES = Number(process.env.TIMING_MINUTES ?? 15);

/**
 * In the page, before its scripts: every recorded note becomes a short impulse, what is asked of the audio clock is written down,
 * and a processor behind the last node of the page writes down the frame of each impulse that comes out.
 */
function listenToOutput() {
  const asked = [];
  const rendered = [];
  Object.assign(window, { asked, rendered });
  const decode = BaseAudioContext.prototype.decodeAudioData;
  BaseAudioContext.prototype.decodeAudioData = async function (...args) {
    const real = await decode.apply(this, args);
    const impulse = this.createBuffer(1, real.length, real.sampleRate);
    // A few frames long: a note that starts between two of them is not lost.
    impulse.getChannelData(0).fill(1, 0, 16);
    return impulse;
  };
  const { start } = AudioBufferSourceNode.prototype;
  AudioBufferSourceNode.prototype.start = function (when = 0, ...rest) {
    asked.push({ at: when, step: document.querySelector('h1')?.textContent });
    return start.call(this, when, ...rest);
  };
  const tap = `registerProcessor('onsets', class extends AudioWorkletProcessor {
    last = -1000;
    process([[wave]]) {
      const found = [];
      for (let at = 0; at < (wave?.length ?? 0); at += 1)
        if (Math.abs(wave[at]) > 0.01 && currentFrame + at - this.last > 64) found.push(this.last = currentFrame + at);
      if (found.length > 0) this.port.postMessage(found.map((frame) => frame / sampleRate));
      return true;
    }
  })`;
  const connect = AudioNode.prototype.connect;
  const module = URL.createObjectURL(new Blob([tap], { type: 'text/javascript' }));
  AudioNode.prototype.connect = function (target, ...rest) {
    if (target instanceof AudioDestinationNode && target.context instanceof AudioContext)
      void this.context.audioWorklet.addModule(module).then(() => {
        const listener = new AudioWorkletNode(this.context, 'onsets', { numberOfOutputs: 0 });
        listener.port.onmessage = ({ data }) => rendered.push(...data);
        connect.call(this, listener);
        window.isListening = true;
      });
    return connect.call(this, target, ...rest);
  };
}

/** Keeps every core busy until it is told to stop. */
function busyCores() {
  const workers = Array.from(
    { length: availableParallelism() },
    () => new Worker('for (let spins = 0; ; spins += 1) Math.sqrt(spins);', { eval: true }),
  );
  return () => Promise.all(workers.map((worker) => worker.terminate()));
}

/** Goes on wherever the run waits for a word, up to the last step; keys follow one another by themselves. */
async function conduct(page, until) {
  while (performance.now() < until) {
    const onward = page.getByRole('button', { name: /^(Start|On to the cool-down)$/ });
    if (await onward.last().isVisible()) {
      await onward.last().click();
    } else if (await page.getByRole('button', { name: 'Finish', exact: true }).first().isVisible()) break;
    await page.waitForTimeout(500);
  }
}

/** The longest way from one of some times to the nearest of others. */
function furthest(times, from) {
  return Math.max(...times.map((time) => Math.min(...from.map((other) => Math.abs(other - time)))));
}

/** When the chords of the keys were struck, step after step: one list for each time a step was sung. */
function chords(asked) {
  const steps = [];
  for (const [index, { at, step }] of asked.entries()) {
    if (asked[index + 1]?.at !== at || asked[index - 1]?.at === at) continue;
    if (steps.at(-1)?.step !== step) steps.push({ step, times: [] });
    steps.at(-1).times.push(at);
  }
  return steps.map(({ times }) => times);
}

/** How far a key of a step began from where the length of the step's keys would have it, at worst. */
function worstKey(times) {
  const lengths = times.slice(1).map((time, index) => time - times[index]);
  return Math.max(0, ...lengths.map((length) => Math.abs(length - median(lengths))));
}

/** One lesson of the demo studio: what was asked of the audio clock up to the last sound that came, and what came. */
async function lesson(browser, address, until) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, bypassCSP: true });
  await context.addInitScript(listenToOutput);
  const page = await openDemo(context, address);
  await page.getByRole('link', { name: 'Sing it' }).first().click();
  for (const answer of ['not at all', 'as usual', 'no'])
    await page.getByRole('radio', { name: answer, exact: true }).click();
  await page.getByRole('button', { name: /^(Begin|Start afresh)$/ }).click();
  await page.locator('[data-sound="ready"]').waitFor();
  await page.waitForFunction(() => window.isListening);
  await conduct(page, until);
  const { asked, rendered } = await page.evaluate(() => ({ asked: window.asked, rendered: window.rendered }));
  await context.close();
  return { asked: asked.filter(({ at }) => at <= rendered.at(-1)), rendered };
}

/** @returns {Promise<import('./table.mjs').Figure[]>} */
export async function timingFigures({ address, executablePath, flags }) {
  const browser = await playwright.launch({ executablePath, args: flags });
  const rest = busyCores();
  try {
    const until = performance.now() + MINUTES * 60_000;
    const lessons = [];
    while (performance.now() < until) lessons.push(await lesson(browser, address, until));
    const count = lessons.reduce((sum, { rendered }) => sum + rendered.length, 0);
    const off = lessons.map(({ asked, rendered }) => {
      const wanted = asked.map(({ at }) => at);
      return Math.max(furthest(rendered, wanted), furthest(wanted, rendered));
    });
    return [
      {
        name: `attack off its place in what was rendered, both cores busy, worst of ${count}`,
        value: Math.max(...off) * 1000,
        unit: 'ms',
        target: 5,
        isCeiling: true,
      },
      {
        name: 'key begun off the beat of the one before it, worst',
        value: Math.max(...lessons.flatMap(({ asked }) => chords(asked).map(worstKey))) * 1000,
        unit: 'ms',
        target: 5,
        isCeiling: true,
      },
    ];
  } finally {
    await rest();
    await browser.close();
  }
}
