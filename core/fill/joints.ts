import type { BlankAttrs } from '#core/passage';

/** What a reader sees of a line's inline at an index: '\n' for a break, '' for a blank left out. */
export type Shown = (index: number) => string;

// A plain space nearly always: the general test is for the rest.
const isSpace = (character: string) => character === ' ' || /\s/.test(character);
const CLOSES = '”’"\')]';
const ENDS = '.!?…';

/**
 * True when what stands at `at` starts a sentence: nothing but spaces before it on its line, or an end of a
 * sentence with its closing quotes and brackets. Read backwards by characters, since a sentence's edge is
 * seldom more than two away, and this is asked for every blank of every filling.
 */
export function startsSentence(at: number, shown: Shown): boolean {
  let sawClosing = false;
  for (let index = at - 1; index >= 0; index -= 1) {
    const text = shown(index);
    for (let from = text.length - 1; from >= 0; from -= 1) {
      const character = text.charAt(from);
      if (character >= 'a' && character <= 'z') return false;
      if (character === '\n') return !sawClosing;
      if (!sawClosing && isSpace(character)) continue;
      if (!CLOSES.includes(character)) return ENDS.includes(character);
      sawClosing = true;
    }
  }
  return !sawClosing;
}

/** The character right before `at` on its line; '' at the line's start. */
export function lastBefore(at: number, shown: Shown): string {
  for (let index = at - 1; index >= 0; index -= 1) {
    const text = shown(index);
    if (text !== '') return text.endsWith('\n') ? '' : text.charAt(text.length - 1);
  }
  return '';
}

/** The text of the first inline after `at` that is not empty; '' at the line's end. */
export function textAfter(count: number, at: number, shown: Shown): string {
  for (let index = at + 1; index < count; index += 1) {
    const text = shown(index);
    if (text !== '') return text.startsWith('\n') ? '' : text;
  }
  return '';
}

/** An answer's words fitted to where they stand: a capital at a sentence's start, one full stop at its end. */
export function fit(words: string, count: number, at: number, shown: Shown): string {
  let fitted = words;
  if (startsSentence(at, shown)) fitted = fitted.replace(/^\p{Ll}/u, (letter) => letter.toLocaleUpperCase());
  const last = fitted.charAt(fitted.length - 1);
  if (!',;:.!?'.includes(last)) return fitted;
  const after = textAfter(count, at, shown);
  const next = after.charAt(0);
  if (last === '.' && next === '.') return fitted.slice(0, -1);
  if (last === '.' && (next === '!' || next === '?')) return fitted.replace(/(?<!\.)\.$/, '');
  return /^\p{L}/u.test(after) ? `${fitted} ` : fitted;
}

/**
 * On which side a blank left out at `at` takes away the one space it would double. `left` and `right` are the
 * texts directly beside it, null where that is no text or must not be touched.
 */
export function spaceToTake(
  { count, at, shown }: { count: number; at: number; shown: Shown },
  left: string | null,
  right: string | null,
): BlankAttrs['dropped'] {
  if (right?.startsWith(' ')) {
    const last = lastBefore(at, shown);
    if (last === '' || isSpace(last)) return 'after';
  }
  if (left?.endsWith(' ')) {
    const next = textAfter(count, at, shown).charAt(0);
    if (next === '' || ',.;:!?)'.includes(next)) return 'before';
  }
  return 'none';
}
