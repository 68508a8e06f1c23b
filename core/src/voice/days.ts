const DAY_MS = 86_400_000;

/** Whole days from one ISO day to another; negative where the second comes first. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(to.slice(0, 10)) - Date.parse(from.slice(0, 10))) / DAY_MS);
}
