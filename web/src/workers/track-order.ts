import type { GuideTrack, Sample } from '@soft-lark/core';

export const SOUND_FORMATS = ['mp3', 'wav'] as const;
export type SoundFormat = (typeof SOUND_FORMATS)[number];

/** Source: enough for a piano in one channel. Kilobits a second. */
export const MP3_KBPS = 96;
/** Frames a second of a sound file. */
export const SOUND_RATE = 44_100;

/** What is written, and what it says of itself. */
export interface TrackOrder {
  readonly track: GuideTrack;
  readonly samples: readonly Sample[];
  readonly format: SoundFormat;
  /** One file for each step, packed together. */
  readonly isSplit: boolean;
  readonly title: string;
  readonly studio: string;
  /** Hz of A4. */
  readonly tuning: number;
  /** The steps and where each begins, one a line. */
  readonly contents: string;
}
