/** A list with another item in one place. */
export function replaced<T>(list: readonly T[], index: number, item: T): T[] {
  return list.map((old, at) => (at === index ? item : old));
}

/** A list without one item. */
export function without<T>(list: readonly T[], index: number): T[] {
  return list.filter((_, at) => at !== index);
}
