import { folded } from './keys';

const STRENGTH = /^(.+?) (\d[\d\s.,]*(?:%|\p{L}.*))$/u;

/** A term parted into its name and, where it has one, its strength. */
function parted(text: string): { name: string; strength: string } {
  const match = STRENGTH.exec(text);
  return match ? { name: match[1]!, strength: match[2]! } : { name: text, strength: '' };
}

/** How many letters must be put in, left out, changed or swapped with the next to make one of the other; 3 for more than 2. */
function slips(a: string, b: string): number {
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

/** Whether two names are easily taken for each other. Approximate: the safe answer is yes. */
function isAlike(a: string, b: string): boolean {
  const shorter = Math.min(a.length, b.length);
  if (shorter < 5) return false;
  const sameEnds = a.slice(0, 3) === b.slice(0, 3) && a.slice(-2) === b.slice(-2);
  if (sameEnds && Math.abs(a.length - b.length) <= 2) return true;
  if (shorter >= 8 && (a.includes(b) || b.includes(a))) return true;
  return slips(a, b) <= 2;
}

/** What must be read back before a term stands. */
export interface ReadBack {
  /** Other strengths the same name comes in. */
  strengths: string[];
  /** Other names that are much like it. */
  names: string[];
}

const MOST_TOLD = 4;

/**
 * For each term of a list that is easily taken for another (its name much like another's, or the same name in another
 * strength), what it could be taken for; terms that stand alone are not in the answer.
 */
export function lookAlikes(texts: readonly string[]): Map<string, ReadBack> {
  const strengths = new Map<string, string[]>();
  for (const text of texts) {
    const { name, strength } = parted(text);
    const known = strengths.get(name) ?? [];
    strengths.set(name, strength ? [...known, strength] : known);
  }
  const names = [...strengths.keys()];
  const plain = names.map(folded);
  const alike = new Map(
    names.map((name, at) => [
      name,
      names.filter((_, other) => other !== at && isAlike(plain[at]!, plain[other]!)),
    ]),
  );
  return new Map(
    texts.flatMap((text): [string, ReadBack][] => {
      const { name, strength } = parted(text);
      const others = strength ? strengths.get(name)!.filter((one) => one !== strength) : [];
      const like = alike.get(name)!.slice(0, MOST_TOLD);
      return others.length + like.length > 0 ? [[text, { strengths: others, names: like }]] : [];
    }),
  );
}
