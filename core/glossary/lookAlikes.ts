import { slips } from '#core/difference';
import { folded } from './keys';

const STRENGTH = /^(.+?) (\d[\d\s.,]*(?:%|\p{L}.*))$/u;

/** A term parted into its name and, where it has one, its strength. */
function parted(text: string): { name: string; strength: string } {
  const match = STRENGTH.exec(text);
  return match ? { name: match[1]!, strength: match[2]! } : { name: text, strength: '' };
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
