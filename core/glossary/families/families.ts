import { folded } from '../keys';

/** One of a family: its words, and how usual it is beside the others of its language. */
export interface Member {
  text: string;
  weight: number;
}

const INITIAL = /\p{L}/u;

/** The first letters of the words of a member, folded; "n't" is a word of its own, whose letter is n. */
export function familyKey(text: string): string {
  const words = folded(text)
    .replace(/n't\b/g, ' n')
    .split(/[\s-]+/);
  return words.map((word) => INITIAL.exec(word)?.[0] ?? '').join('');
}

/** Small words that go together, found by their first letters. */
export class Families {
  private readonly byKey = new Map<string, Member[]>();

  /** @param members those of one key and the same words once, the most usual of them */
  constructor(members: readonly Member[]) {
    const best = new Map<string, Member>();
    for (const member of members) {
      const before = best.get(member.text);
      if (!before || before.weight < member.weight) best.set(member.text, member);
    }
    for (const member of best.values()) {
      const key = familyKey(member.text);
      if (key.length < 2) continue;
      const family = this.byKey.get(key);
      if (family) family.push(member);
      else this.byKey.set(key, [member]);
    }
    for (const family of this.byKey.values()) family.sort((a, b) => b.weight - a.weight);
  }

  /** Those whose first letters these are, the most usual first. */
  of(letters: string): readonly Member[] {
    return this.byKey.get(folded(letters)) ?? [];
  }
}
