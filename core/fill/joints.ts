import type { Inline } from '#core/passage';

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

/** A line while it is filled: what each inline shows, and whether its spaces may be mended (text that is no code). */
export interface Joining {
  shown: string[];
  mendable: readonly boolean[];
  /** 1 where a space was taken before, 2 after, 3 on both sides. */
  dropped: number[];
}

const BEFORE = 1;
const AFTER = 2;
const CLOSING = ',.;:!?)';

/** The text right beside an index whose space may be taken: emptied texts are passed over. -1 when there is none. */
function beside({ shown, mendable }: Joining, at: number, step: 1 | -1): number {
  let index = at + step;
  while (mendable[index] && shown[index] === '') index += step;
  return mendable[index] ? index : -1;
}

function takeAfter(joining: Joining, at: number, look: Shown): boolean {
  const right = beside(joining, at, 1);
  if (right < 0 || !joining.shown[right]!.startsWith(' ')) return false;
  const last = lastBefore(at, look);
  if (last !== '' && !isSpace(last)) return false;
  joining.shown[right] = joining.shown[right]!.slice(1);
  return true;
}

function takeBefore(joining: Joining, at: number, look: Shown): boolean {
  const left = beside(joining, at, -1);
  if (left < 0 || !joining.shown[left]!.endsWith(' ')) return false;
  const next = textAfter(joining.shown.length, at, look).charAt(0);
  if (next !== '' && !CLOSING.includes(next)) return false;
  joining.shown[left] = joining.shown[left]!.slice(0, -1);
  return true;
}

/**
 * Text whose spaces may be mended: none within code or a link; nor an optional passage of nothing but space, which would
 * be gone for good with the space, since what is given back later belongs to no passage.
 */
export const isMendable = (inline: Inline): boolean =>
  inline.type === 'text' &&
  !inline.marks?.some(
    ({ type }) => type === 'code' || type === 'link' || (type === 'when' && inline.text.trim() === ''),
  );

/**
 * Takes away the spaces that would be doubled, or stand before a full stop, where something shows no words. `empty`
 * are the indices of what shows none, in order. Gone over until nothing changes, since one taken space can bring two
 * others together; each of `empty` takes at most one on each side, so it ends.
 */
export function takeSpaces(joining: Joining, empty: readonly number[]): void {
  const look: Shown = (index) => joining.shown[index]!;
  for (let changed = empty.length > 0; changed;) {
    changed = false;
    for (const at of empty) {
      const taken = joining.dropped[at]!;
      if (!(taken & AFTER) && takeAfter(joining, at, look)) joining.dropped[at]! |= AFTER;
      if (!(taken & BEFORE) && takeBefore(joining, at, look)) joining.dropped[at]! |= BEFORE;
      changed ||= joining.dropped[at] !== taken;
    }
  }
}
