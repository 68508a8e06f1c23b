import type { Mark } from '../past/index.ts';

/**
 * What is looked at where a lesson is by video and the ear hears less, and the mark that stands for
 * what is seen there. Source: house choice, of what teachers of singing commonly watch.
 */
export const BY_EYE = [
  { id: 'shoulders', mark: 'breath' },
  { id: 'jaw', mark: 'tension' },
  { id: 'neck', mark: 'tension' },
  { id: 'chin', mark: 'strain' },
  { id: 'ribs', mark: 'breath' },
  { id: 'tongue', mark: 'tension' },
  { id: 'brow', mark: 'strain' },
  { id: 'knees', mark: 'tension' },
] as const satisfies readonly { readonly id: string; readonly mark: Mark }[];

export type SeenByEye = (typeof BY_EYE)[number];

/** What to look at in a key: another thing in each, round and round. */
export function byEyeAt(keyIndex: number): SeenByEye {
  return BY_EYE[keyIndex % BY_EYE.length] ?? BY_EYE[0];
}
