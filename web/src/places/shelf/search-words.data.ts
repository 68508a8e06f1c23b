// Source: the field's usual words for what the shelf names otherwise; house choice which of them mean the same.
import type { Exercise } from '@soft-lark/core';

/** Words teachers look for, and the exercises that are meant: by stage, by what they are mainly for, or by being rough or for the young. */
export interface SearchWords {
  readonly words: string;
  readonly stage?: Exercise['stage'];
  /** Any of these goals. */
  readonly goals?: readonly string[];
  readonly isGrit?: boolean;
  readonly isYoung?: boolean;
  /** Part of the id. */
  readonly named?: string;
}

export const SEARCH_WORDS: readonly SearchWords[] = [
  { words: 'sovt semi occluded semioccluded backpressure', stage: 'occluded' },
  { words: 'cooldown warm down recovery', stage: 'cool' },
  { words: 'breathing diaphragm diaphragmatic', stage: 'breath' },
  { words: 'diaphragm breathing appoggio', goals: ['support', 'breath', 'breath-length'] },
  { words: 'passaggio break register registers zona mixed', goals: ['bridge', 'mix'] },
  { words: 'head voice falsetto head', goals: ['light-top'] },
  { words: 'chest voice belting call', goals: ['belt'] },
  { words: 'chest voice low notes', goals: ['range-down', 'bottom'] },
  { words: 'high notes extension', goals: ['range-up'] },
  { words: 'twang brightness bright forward placement', goals: ['colour', 'projection'] },
  { words: 'placement forward mask ring', goals: ['resonance'] },
  { words: 'riff lick melisma', goals: ['riffs'] },
  { words: 'run coloratura ornament', goals: ['agility'] },
  { words: 'attack glottal', goals: ['onset', 'closure'] },
  { words: 'posture standing body', goals: ['alignment'] },
  { words: 'jaw tension tight stiff', goals: ['release-jaw'] },
  { words: 'tongue tension root', goals: ['release-tongue'] },
  { words: 'neck tension stiff', goals: ['neck', 'release'] },
  { words: 'massage', named: 'temples' },
  { words: 'choir ensemble blend', goals: ['choral'] },
  { words: 'articulation consonants enunciation', goals: ['diction'] },
  { words: 'messa di voce crescendo decrescendo', goals: ['dynamics'] },
  { words: 'phrasing smooth cantabile', goals: ['legato', 'line'] },
  { words: 'distortion rasp growl scream rough', isGrit: true },
  { words: 'vocal fry', named: 'creak' },
  { words: 'kids children child', isYoung: true },
  { words: 'glissando portamento slide siren', named: 'glide' },
  { words: 'glissando portamento slide', named: 'carried' },
];
