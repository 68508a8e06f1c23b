import { front } from './en-front.ts';
import { studio } from './en-studio.ts';

/** Everything the interface says, in English. Names of notes, exercises and rules come from the core and the shelf. */
export const en = { ...front, ...studio, said: { ...front.said, ...studio.said } } as const;
