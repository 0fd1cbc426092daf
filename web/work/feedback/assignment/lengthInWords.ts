import type { Assignment } from '#contracts';

/** How a number of words stands to the limits; '' where it is within them. */
export function lengthInWords(words: number, { least, most }: Assignment['limits']): string {
  if (most !== null && words > most) return `over by ${(words - most).toLocaleString()}`;
  if (least !== null && words < least) return `short by ${(least - words).toLocaleString()}`;
  return '';
}
