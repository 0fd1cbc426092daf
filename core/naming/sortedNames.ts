const byName = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** Names in the order in which folders show them: capitals and accents ignored, numbers by their worth. */
export const compareNames = (a: string, b: string): number =>
  byName.compare(a, b) || (a < b ? -1 : a > b ? 1 : 0);

/** Between which two of some sorted names one will be; null at an end. `sorted`: by `compareNames`, without the one itself. */
export function sortsBetween(
  name: string,
  sorted: readonly string[],
): { before: string | null; after: string | null } {
  let [from, to] = [0, sorted.length];
  while (from < to) {
    const middle = (from + to) >> 1;
    if (compareNames(sorted[middle]!, name) < 0) from = middle + 1;
    else to = middle;
  }
  return { before: sorted[from - 1] ?? null, after: sorted[from] ?? null };
}
