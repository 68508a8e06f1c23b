/** The pitch of a knock as it is made; played faster it is higher. */
export const KNOCK_HZ = 1000;
const KNOCK_SECONDS = 0.05;
const DYING = 90;

/**
 * The sound of a click, which is made and not sampled: a sine that dies away.
 *
 * @param rate frames a second
 */
export function knockWave(rate: number): Float32Array {
  return Float32Array.from({ length: Math.round(KNOCK_SECONDS * rate) }, (_, at) => {
    const seconds = at / rate;
    return Math.sin(2 * Math.PI * KNOCK_HZ * seconds) * Math.exp(-seconds * DYING);
  });
}
