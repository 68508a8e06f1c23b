import type { MelodyEvent } from '../song/index.ts';

/** A note or rest as it is written down, where glides have become two notes. */
export interface Sung {
  readonly midi: number | undefined;
  readonly beats: number;
  readonly slide?: 'start' | 'stop';
  readonly syllable?: string | undefined;
  readonly continues?: boolean | undefined;
}

/** A glide is written as two notes of half its length each, joined by a slide. */
export function sungOf({ midi, to, beats, syllable, continues }: MelodyEvent): readonly Sung[] {
  if (to === undefined) return [{ midi, beats, syllable, continues }];
  return [
    { midi, beats: beats / 2, slide: 'start', syllable, continues },
    { midi: to, beats: beats / 2, slide: 'stop', continues: true },
  ];
}
