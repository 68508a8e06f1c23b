import { z } from 'zod';

/** What a schema reads, as nobody may change it. */
export type ReadonlyDeep<T> = T extends object ? { readonly [Name in keyof T]: ReadonlyDeep<T[Name]> } : T;

/** A pitch as a MIDI number. */
export const midiNote = z.int().min(0).max(127);

/** A calendar day, such as 2026-11-25. */
export const calendarDay = z.iso.date().refine((day) => /^(19|20|21)/.test(day), 'lies in no year of ours');

/** The id of an exercise. */
export const exerciseId = z.string().regex(/^[a-z0-9]+(-[a-z0-9]+)*$/);

/** A line of text, trimmed, without control characters. */
export function line(most: number, least = 1): z.ZodString {
  return z
    .string()
    .trim()
    .min(least)
    .max(most)
    .regex(/^[^\0-\x1f]*$/, 'holds characters that cannot be shown');
}

/** Lines of text. */
export function lines(most: number, least = 1): z.ZodString {
  return z
    .string()
    .trim()
    .min(least)
    .max(most)
    .regex(/^[^\0-\x08\x0b\x0c\x0e-\x1f]*$/, 'holds characters that cannot be shown');
}

/** A whole number between two others. */
export function whole(least: number, most: number): z.ZodInt {
  return z.int().min(least).max(most);
}

/** A few of some words. */
export function someOf<const Words extends readonly [string, ...string[]]>(
  words: Words,
): z.ZodArray<z.ZodEnum<{ [Word in Words[number]]: Word }>> {
  return z.array(z.enum(words)).max(words.length * 2);
}
