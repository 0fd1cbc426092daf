/*
 * A backslash before a sign takes its meaning away. Before a letter it stands for what cannot be typed or seen:
 * \t a tab, \n a line end within words, \u{...} any character by its number.
 */

const UNSEEN: Record<string, string> = { '\t': '\\t', '\n': '\\n' };

/** Words with what cannot be seen spelt out, and a backslash before each sign of `special`. */
export function escaped(words: string, special: RegExp): string {
  return words
    .replace(/\\/g, '\\\\')
    .replace(special, '\\$&')
    .replace(/[\p{Cc}\u2028\u2029]/gu, (one) => UNSEEN[one] ?? `\\u{${one.codePointAt(0)!.toString(16)}}`);
}

/** Spaces at the ends of words, which would not be seen, get a backslash too. */
export const edgesKept = (words: string): string => (words === ' ' ? '\\ ' : words.replace(/^ | $/g, '\\ '));

/** What an escape stands for, and how long it is; null when nothing follows the backslash. */
export function readEscape(text: string, at: number): { character: string; length: number } | null {
  const next = String.fromCodePoint(text.codePointAt(at + 1) ?? 0);
  if (at + 1 >= text.length) return null;
  if (next === 't') return { character: '\t', length: 2 };
  if (next === 'n') return { character: '\n', length: 2 };
  const number = /^\\u\{([0-9a-f]{1,6})\}/i.exec(text.slice(at, at + 11));
  const code = number ? Number.parseInt(number[1]!, 16) : -1;
  if (number && code <= 0x10ffff) return { character: String.fromCodePoint(code), length: number[0].length };
  return { character: next, length: 1 + next.length };
}

/** Words of a value as they were before they were escaped; a backslash at the very end stands for itself. */
export function unescaped(text: string): string {
  let out = '';
  for (let at = 0; at < text.length;) {
    const escape = text[at] === '\\' ? readEscape(text, at) : null;
    out += escape ? escape.character : text[at]!;
    at += escape ? escape.length : 1;
  }
  return out;
}

/** A value as it stands behind its key: on one line, with nothing at its ends that would be lost. */
export const valueOf = (words: string): string => edgesKept(escaped(words, /(?!)/g));

/** A name as it is, or in double quotes where a sign in it would mean something. */
export const named = (name: string): string =>
  /^[^\s"():,;=#'\\\p{Cc}](?:[^"():,;=\\\p{Cc}]*[^\s"():,;=\\\p{Cc}])?$/u.test(name) ? name : quoted(name);

/** Words in double quotes. */
export const quoted = (words: string): string => `"${escaped(words, /"/g)}"`;
