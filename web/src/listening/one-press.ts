/** House choice, milliseconds: nobody presses a pedal twice in so short a time. */
const ONE_PRESS_MS = 250;

/**
 * Lets an act through once a press: a pedal that sends twice, or trembles on the way, was pressed once.
 *
 * @returns takes the moment of the press as its event tells it, milliseconds: a busy page hears of it late
 */
export function onePress(): (pressedAt: number, act: () => void) => void {
  let last = -Infinity;
  return (pressedAt, act) => {
    if (pressedAt - last <= ONE_PRESS_MS) return;
    last = pressedAt;
    act();
  };
}
