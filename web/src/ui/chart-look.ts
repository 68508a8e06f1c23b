/** How the axes and the tips of every chart look. */
export const TICK = { fill: 'var(--soft)', fontSize: 12.5 };

export const TIP = {
  contentStyle: {
    background: 'var(--sheet)',
    border: '1px solid var(--line)',
    borderRadius: 11,
    boxShadow: 'none',
  },
} as const;
