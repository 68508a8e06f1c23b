// A lesson that plays on by itself while both cores are busy: where each sound really stands in what was rendered.
import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import { chromium as playwright } from '@playwright/test';
import { openDemo } from './page-steps.mjs';

const MINUTES = Number(process.env.TIMING_MINUTES ?? 15);

/**
 * In the page, before its scripts: every recorded note becomes one impulse, what is asked of the audio clock is written down,
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
    impulse.getChannelData(0)[0] = 1;
    return impulse;
  };
  const start = AudioBufferSourceNode.prototype.start;
  AudioBufferSourceNode.prototype.start = function (when = 0, ...rest) {
    asked.push({ at: when, from: this.context.currentTime });
    return start.call(this, when, ...rest);
  };
  const tap = `registerProcessor('onsets', class extends AudioWorkletProcessor {
    last = -1000;
    process([[wave]]) {
      const found = [];
      for (let at = 0; at < (wave?.length ?? 0); at += 1)
        if (Math.abs(wave[at]) > 0.01 && currentFrame + at - this.last > 8) found.push(this.last = currentFrame + at);
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

/** Goes on wherever the run waits for a word; keys follow one another by themselves. @returns how many presses it took */
async function conduct(page, minutes) {
  const until = performance.now() + minutes * 60_000;
  let presses = 0;
  while (performance.now() < until) {
    const start = page.getByRole('button', { name: 'Start', exact: true });
    if (await start.isVisible()) {
      await start.click();
      presses += 1;
    } else if (await page.getByRole('button', { name: 'Finish', exact: true }).first().isVisible()) break;
    await page.waitForTimeout(500);
  }
  return presses;
}

/** Times that lie within a fortieth of a second are one attack. */
function attacks(times) {
  return [...times].sort((a, b) => a - b).filter((time, index, all) => index === 0 || time - all[index - 1] > 0.025);
}

function furthest(times, from) {
  return Math.max(...times.map((time) => Math.min(...from.map((other) => Math.abs(other - time)))));
}

/** @returns {Promise<import('./table.mjs').Figure[]>} */
export async function timingFigures({ address, executablePath, flags }) {
  const browser = await playwright.launch({ executablePath, args: flags });
  const rest = busyCores();
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, bypassCSP: true });
    await context.addInitScript(listenToOutput);
    const page = await openDemo(context, address);
    await page.getByRole('link', { name: 'Sing it' }).first().click();
    for (const answer of ['not at all', 'as usual', 'no'])
      await page.getByRole('radio', { name: answer, exact: true }).click();
    await page.getByRole('button', { name: /^(Begin|Start afresh)$/ }).click();
    await page.locator('[data-sound="ready"]').waitFor();
    const presses = await conduct(page, MINUTES);
    const { asked, rendered, now } = await page.evaluate(() => ({
      asked: window.asked,
      rendered: window.rendered,
      now: document.querySelector('h1')?.textContent,
    }));
    console.log(JSON.stringify({ presses, now, asked: asked.length, rendered: rendered.length }));
    (await import('node:fs')).writeFileSync('/tmp/timing.json', JSON.stringify({ asked, rendered }));
    const wanted = attacks(asked.map(({ at }) => at));
    const heard = attacks(rendered);
    return [
      {
        name: 'attack in the rendered sound, off its place, worst',
        value: furthest(heard, wanted) * 1000,
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
