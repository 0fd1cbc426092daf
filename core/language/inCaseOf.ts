import { withCapital } from './withCapital';

/**
 * Words in the case of those they are put in place of.
 * @param found what stands there: "Hog", "HOG" or "hog"
 * @param put what comes: all of it large where all of `found` is, its first letter large where that of `found` is, else as it is given
 */
export function inCaseOf(found: string, put: string): string {
  const letters = found.replace(/[^\p{L}]/gu, '');
  if (letters.length > 1 && letters === letters.toLocaleUpperCase()) return put.toLocaleUpperCase();
  return /^[^\p{L}]*\p{Lu}/u.test(found) ? withCapital(put) : put;
}
