/** What the audio worklet's own scope has; the usual types do not know it. */
declare abstract class AudioWorkletProcessor {
  readonly port: MessagePort;
}
declare function registerProcessor(name: string, processor: new () => AudioWorkletProcessor): void;

/** Samples sent at once: about every 12 ms at 44.1 kHz. */
const BLOCK = 512;

/** Hands the microphone's samples on, in blocks, to whoever holds the port it was given. */
class Tap extends AudioWorkletProcessor {
  private block = new Float32Array(BLOCK);
  private filled = 0;
  private target: MessagePort | undefined;

  constructor() {
    super();
    this.port.onmessage = ({ data }: MessageEvent<MessagePort>) => {
      this.target = data;
    };
  }

  process([input]: readonly Float32Array[][]): boolean {
    for (const sample of input?.[0] ?? []) {
      this.block[this.filled] = sample;
      this.filled += 1;
      if (this.filled < BLOCK) continue;
      this.target?.postMessage(this.block, [this.block.buffer]);
      this.block = new Float32Array(BLOCK);
      this.filled = 0;
    }
    return true;
  }
}

registerProcessor('soft-lark-tap', Tap);
