/**
 * Patterns are in the syntax of RE2, which is matched in linear time whatever is written: a slow time, for most are plain. Those of which
 * the browser's own matcher, which goes back and tries again, cannot try much are given to it: patterns with at most one repetition without
 * an end, none of a group, and few that have one.
 */

/** Of repetitions with an end, so many, each of at most so many. */
const MOST_BOUNDED = 4;
const LONGEST_BOUNDED = 20;

/** What RE2 calls a space is less than what JavaScript does. */
const SPACES = '\\t\\n\\f\\r ';

/** Signs that stand for themselves or for a class in both, behind a backslash. */
const ALIKE = /^[bBwWdDtnrf\\.+*?()|[\]{}^$/-]$/;
/** Within a class: `\W` and `\D` are others in JavaScript where capitals are ignored, `\b` is another sign. */
const ALIKE_IN_CLASS = /^[wdtnrf\\.+*?()|[\]{}^$/-]$/;

const PROPERTY = /^\\[pP]\{[A-Za-z]+\}/;
const BOUNDS = /^\{(\d+)(?:(,)(\d*))?\}/;

/** A pattern as it is read, part by part. */
class Reader {
  out = '';
  private at = 0;
  private unbounded = 0;
  private bounded = 0;
  /** Whether what was read last can be repeated: one sign or class, and no group. */
  private last: 'sign' | 'group' | 'none' = 'none';

  constructor(private readonly pattern: string) {}

  /** Reads all of it; false where it is not plain. */
  read(): boolean {
    while (this.at < this.pattern.length) if (!this.part()) return false;
    return this.unbounded <= 1 && this.bounded <= MOST_BOUNDED;
  }

  private put(out: string, length: number, last: 'sign' | 'group' | 'none'): true {
    this.out += out;
    this.at += length;
    this.last = last;
    return true;
  }

  private part(): boolean {
    const sign = this.pattern[this.at]!;
    if (sign === '\\') return this.escape();
    if (sign === '[') return this.class();
    if (sign === '.') return this.put('[^\\n]', 1, 'sign');
    if (sign === '(') return this.group();
    if (sign === ')') return this.put(')', 1, 'group');
    if (sign === '|' || sign === '^' || sign === '$') return this.put(sign, 1, 'none');
    if ('*+?{'.includes(sign)) return this.repetition(sign);
    // A letter of two units is one sign.
    const letter = String.fromCodePoint(this.pattern.codePointAt(this.at)!);
    return !']}'.includes(sign) && this.put(letter, letter.length, 'sign');
  }

  private escape(): boolean {
    const next = this.pattern[this.at + 1] ?? '';
    const property = PROPERTY.exec(this.pattern.slice(this.at));
    if (property) return this.put(property[0], property[0].length, 'sign');
    if (next === 's') return this.put(`[${SPACES}]`, 2, 'sign');
    if (next === 'S') return this.put(`[^${SPACES}]`, 2, 'sign');
    if (!ALIKE.test(next)) return false;
    return this.put(next === '-' ? '-' : `\\${next}`, 2, /[bB]/.test(next) ? 'none' : 'sign');
  }

  private class(): boolean {
    const found = /^\[\^?(?:\\[\s\S]|[^\\\][])+\]/.exec(this.pattern.slice(this.at));
    if (!found) return false;
    const inner = found[0].slice(1, -1);
    for (const [, escaped] of inner.matchAll(/\\([\s\S])/g))
      if (escaped !== 's' && !ALIKE_IN_CLASS.test(escaped!)) return false;
    return this.put(
      `[${inner.replace(/\\([\s\S])/g, (all, one) => (one === 's' ? SPACES : all))}]`,
      found[0].length,
      'sign',
    );
  }

  private group(): boolean {
    if (this.pattern.startsWith('(?:', this.at)) return this.put('(?:', 3, 'none');
    return this.pattern[this.at + 1] !== '?' && this.put('(', 1, 'none');
  }

  /** How what was read last is repeated; null where it is not written as RE2 has it. */
  private repeated(sign: string): { written: string; isOpen: boolean; most: number } | null {
    if (sign === '?') return { written: sign, isOpen: false, most: 1 };
    if (sign !== '{') return { written: sign, isOpen: true, most: 1 };
    const found = BOUNDS.exec(this.pattern.slice(this.at));
    if (!found) return null;
    const [written, least, comma, most] = found;
    return { written, isOpen: comma === ',' && most === '', most: Number(most || least) };
  }

  private repetition(sign: string): boolean {
    const found = this.repeated(sign);
    if (!found || found.most > LONGEST_BOUNDED) return false;
    // Of a group only whether it is there.
    if (this.last === 'none' || (this.last === 'group' && sign !== '?')) return false;
    const { written, isOpen } = found;
    if (isOpen) this.unbounded += 1;
    else this.bounded += 1;
    const isLazy = this.pattern[this.at + written.length] === '?';
    return this.put(isLazy ? `${written}?` : written, written.length + (isLazy ? 1 : 0), 'none');
  }
}

/**
 * A pattern of RE2 as an expression of the browser's own, which finds the same without regard to capitals and in little time; null where
 * that is not sure.
 */
export function plainPattern(pattern: string): RegExp | null {
  const reader = new Reader(pattern);
  if (!reader.read()) return null;
  try {
    return new RegExp(reader.out, 'giu');
  } catch {
    return null;
  }
}
