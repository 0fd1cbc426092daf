/** Where a text of `Literals` stands in another (UTF-16). */
export interface LiteralPlace {
  literal: string;
  from: number;
  to: number;
}

const NONE: readonly never[] = [];
const RUNS = /[\p{L}\p{N}]+/gu;

/**
 * Fixed texts, such as the names of a team, found in others in one pass however many they are: by their first run of letters and
 * digits. A pattern of each, or one of all, would try every one of them at every place.
 */
export class Literals {
  /** By its first run: the text, and how far into it that run begins. */
  private readonly byRun = new Map<string, { literal: string; at: number }[]>();

  /** One without a letter or a digit is never found. */
  constructor(literals: Iterable<string>) {
    for (const literal of new Set(literals)) {
      const run = literal.match(RUNS)?.[0];
      if (run === undefined) continue;
      const same = this.byRun.get(run) ?? [];
      same.push({ literal, at: literal.indexOf(run) });
      this.byRun.set(run, same);
    }
  }

  /** Where they stand in a text by themselves, exactly as written, in reading order: no letter, digit or `joining` character beside them. */
  in(text: string, joining = ''): LiteralPlace[] {
    if (this.byRun.size === 0) return [];
    const apart = (beside: string) => !/[\p{L}\p{N}]/u.test(beside) && (!beside || !joining.includes(beside));
    const found: LiteralPlace[] = [];
    for (const { 0: run, index } of text.matchAll(RUNS))
      for (const { literal, at } of this.byRun.get(run) ?? NONE) {
        const from = index - at;
        const to = from + literal.length;
        if (from < 0 || !text.startsWith(literal, from)) continue;
        if (apart(text.charAt(from - 1)) && apart(text.charAt(to))) found.push({ literal, from, to });
      }
    return found;
  }
}
