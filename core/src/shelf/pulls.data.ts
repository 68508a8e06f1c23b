// Source: house list of the ways in which teaching pulls; which of them contradict each other is common ground.
import type { Caution } from '../voice/index.ts';
import { APPROACH_CHOICES } from './approach.data.ts';

/** Ways an exercise can pull besides the questions of the schools; two of one line pull opposite ways. */
const OPPOSITES: Readonly<Record<string, readonly string[]>> = {
  closure: ['more-breath', 'firmer'],
  brightness: ['brighter', 'darker'],
  larynx: ['lower', 'higher'],
  loudness: ['louder', 'softer'],
};

/** Every way an exercise can be said to pull, as question=choice. */
export const PULLS: readonly string[] = Object.entries({ ...OPPOSITES, ...APPROACH_CHOICES }).flatMap(
  ([question, choices]) => choices.filter((choice) => choice !== 'own').map((choice) => `${question}=${choice}`),
);

/** Cautions on file with which pulling both ways is not done at all. */
export const PULL_CAUTIONS: Readonly<Record<string, Caution>> = {
  jaw: 'jaw',
  chin: 'neck-and-shoulder',
  larynx: 'neck-and-shoulder',
};
