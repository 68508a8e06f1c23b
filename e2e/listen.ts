import type { Page } from '@playwright/test';

/** A sample the page started: when on the audio clock, how long after it was made, and how much it is retuned. */
export interface Started {
  readonly at: number;
  readonly ahead: number;
  readonly rate: number;
}

/** Keeps every sample the page starts, and when each was silenced. */
export function listen(): void {
  const started: Started[] = [];
  const silenced = new Map<AudioNode, number>();
  Object.assign(window, { started, silenced });
  class ListenedNode extends AudioBufferSourceNode {
    private readonly madeAt = this.context.currentTime;
    override start(when = 0, offset?: number, duration?: number): void {
      if (this.buffer && this.buffer.duration > 0.5) {
        started.push({ at: when, ahead: when - this.madeAt, rate: this.playbackRate.value });
      }
      super.start(when, offset, duration);
    }
    override stop(when?: number): void {
      if (this.buffer && this.buffer.duration > 0.5) silenced.set(this, this.context.currentTime);
      super.stop(when);
    }
  }
  Object.assign(window, { AudioBufferSourceNode: ListenedNode });
  BaseAudioContext.prototype.createBufferSource = function () {
    return new ListenedNode(this);
  };
}

/** What a page that was listened to has started so far. */
export function samplesStarted(page: Page): Promise<readonly Started[]> {
  return page.evaluate(() => (window as unknown as { started: Started[] }).started);
}
