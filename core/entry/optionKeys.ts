/**
 * One letter for each label, to pick it by: its first letter that is still free, reading the starts of its
 * words before their middles; null when none is left. Letters come back in lower case, one per label.
 */
export function optionKeys(labels: readonly string[]): (string | null)[] {
  const taken = new Set<string>();
  return labels.map((label) => {
    const lower = label.toLocaleLowerCase();
    const starts = [...lower.matchAll(/(?<=^|[^\p{L}])\p{L}/gu)].map((match) => match[0]);
    const letters = [...starts, ...lower.matchAll(/\p{L}/gu)].map(String);
    const key = letters.find((letter) => !taken.has(letter)) ?? null;
    if (key) taken.add(key);
    return key;
  });
}
