import { slips } from '#core/difference';
import { folded } from './keys';

const STRENGTH = /^(.+?) (\d[\d\s.,]*(?:%|\p{L}.*))$/u;

/** A term parted into its name and, where it has one, its strength. */
function parted(text: string): { name: string; strength: string } {
  const match = STRENGTH.exec(text);
  return match ? { name: match[1]!, strength: match[2]! } : { name: text, strength: '' };
}

const endsOf = (name: string) => `${name.slice(0, 3)} ${name.slice(-2)}`;

/** Whether two names are easily taken for each other. Approximate: the safe answer is yes. */
function isAlike(a: string, b: string): boolean {
  const shorter = Math.min(a.length, b.length);
  if (shorter < 5) return false;
  if (endsOf(a) === endsOf(b) && Math.abs(a.length - b.length) <= 2) return true;
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

/** The letters of a name as a set of 32 bits, several letters to some bits. */
function lettersOf(name: string): number {
  let letters = 0;
  for (let at = 0; at < name.length; at += 1) letters |= 1 << (name.charCodeAt(at) & 31);
  return letters;
}

function bitsIn(set: number): number {
  let count = 0;
  for (let left = set; left !== 0; left &= left - 1) count += 1;
  return count;
}

/**
 * Whether the letters of two names allow that they are alike, which costs next to nothing to see: two slips change four
 * letters of a set at the most, and a name within another has no letter that the other lacks.
 */
const canBeAlike = (a: number, b: number): boolean => bitsIn(a ^ b) <= 4 || (a & ~b) === 0 || (b & ~a) === 0;

/**
 * What the terms of a list could be taken for: a name that is much like another's, or the same name in another strength.
 * Made in one walk over the list, whatever its length; a term is held against the others when it is asked for, and what
 * came of it is kept.
 */
export class LookAlikes {
  private readonly strengths = new Map<string, string[]>();
  private readonly names: readonly { name: string; plain: string; letters: number }[];
  private readonly byEnds = new Map<string, number[]>();
  private readonly told = new Map<string, string[]>();

  /** @param texts the terms of a list, each once */
  constructor(texts: readonly string[]) {
    for (const text of texts) {
      const { name, strength } = parted(text);
      const known = this.strengths.get(name) ?? [];
      if (strength) known.push(strength);
      this.strengths.set(name, known);
    }
    this.names = [...this.strengths.keys()].map((name) => {
      const plain = folded(name);
      return { name, plain, letters: lettersOf(plain) };
    });
    this.names.forEach(({ plain }, at) => {
      const same = this.byEnds.get(endsOf(plain));
      if (same) same.push(at);
      else this.byEnds.set(endsOf(plain), [at]);
    });
  }

  /** What a term must be read back for; null for one that stands alone, or is not of the list. */
  of(text: string): ReadBack | null {
    const { name, strength } = parted(text);
    const all = this.strengths.get(name);
    if (!all) return null;
    const strengths = strength ? all.filter((one) => one !== strength) : [];
    const names = this.like(name);
    return strengths.length + names.length > 0 ? { strengths, names } : null;
  }

  /** The names that are much like one, in the order of the list. */
  private like(name: string): string[] {
    let told = this.told.get(name);
    if (told) return told;
    const plain = folded(name);
    const letters = lettersOf(plain);
    const sameEnds = new Set(this.byEnds.get(endsOf(plain)));
    told = [];
    for (let at = 0; at < this.names.length && told.length < MOST_TOLD; at += 1) {
      const other = this.names[at]!;
      if (other.name === name || !(canBeAlike(letters, other.letters) || sameEnds.has(at))) continue;
      if (isAlike(plain, other.plain)) told.push(other.name);
    }
    this.told.set(name, told);
    return told;
  }
}
