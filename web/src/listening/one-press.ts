/** House choice, milliseconds: nobody presses a pedal twice in so short a time. */
export const ONE_PRESS_MS = 250;
