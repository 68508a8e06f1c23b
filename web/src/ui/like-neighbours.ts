/** Neighbours that are alike as one word with their number: together ×2. */
export function likeNeighbours<T>(list: readonly T[], word: (item: T) => string): readonly string[] {
  const runs: { readonly item: T; count: number }[] = [];
  for (const item of list) {
    const last = runs.at(-1);
    if (last?.item === item) last.count += 1;
    else runs.push({ item, count: 1 });
  }
  return runs.map(({ item, count }) => (count === 1 ? word(item) : `${word(item)} ×${String(count)}`));
}
