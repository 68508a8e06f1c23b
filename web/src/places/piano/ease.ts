/** How easy a run was, from hard to very easy. */
export const EASE = [1, 2, 3, 4, 5] as const;
