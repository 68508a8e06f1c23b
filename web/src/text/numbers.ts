import { locale } from './times.ts';

/** A figure as the reader writes it, with so many decimals. */
export function decimalText(value: number, decimals = 1): string {
  const digits = { minimumFractionDigits: decimals, maximumFractionDigits: decimals };
  return new Intl.NumberFormat(locale(), digits).format(value);
}

/** A share from 0 to 1 as the reader writes it. */
export function shareText(share: number): string {
  return new Intl.NumberFormat(locale(), { style: 'percent' }).format(share);
}

/** Several things one after the other, as the reader joins them. */
export function listText(parts: readonly string[]): string {
  return new Intl.ListFormat(locale(), { type: 'conjunction' }).format(parts);
}
