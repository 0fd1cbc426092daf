/** How many letters must be put in, left out, changed or swapped with the next to make one of the other; 3 for more than 2. */
export function slips(a: string, b: string): number {
  if (Math.abs(a.length - b.length) > 2) return 3;
  // Optimal string alignment, three rows of the table at a time (Damerau 1964).
  let [before, row] = [[] as number[], Array.from({ length: b.length + 1 }, (_, at) => at)];
  for (let i = 1; i <= a.length; i += 1) {
    const next = [i];
    for (let j = 1; j <= b.length; j += 1) {
      const cost = a[i - 1] === b[j - 1] ? 0 : 1;
      next[j] = Math.min(next[j - 1]! + 1, row[j]! + 1, row[j - 1]! + cost);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        next[j] = Math.min(next[j]!, before[j - 2]! + 1);
    }
    [before, row] = [row, next];
  }
  return Math.min(3, row[b.length]!);
}
