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

/** Whether words begin with an address, which is written as it is wherever it stands. */
const isAddress = (words: string): boolean =>
  /^(?:[a-z][a-z0-9+.-]*:|www\.|[^\s@]+@[^\s@]+\.)\S/i.test(words);

/** An answer's words fitted to their place: a capital at a sentence's start, one full stop at its end. */
export function fit(words: string, count: number, at: number, shown: Shown): string {
  let fitted = words;
  if (startsSentence(at, shown) && !isAddress(fitted))
    fitted = fitted.replace(/^\p{Ll}/u, (letter) => letter.toLocaleUpperCase());
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
  /** Of which optional passages each is: marks are taken only from texts of the same, or they would be folded away with others. */
  passages: readonly string[];
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
  const after = textAfter(joining.shown.length, at, look);
  const next = after.charAt(0);
  if ((next !== '' && !CLOSING.includes(next)) || /^[.,]\d/.test(after)) return false;
  // Behind a mark, the mark that comes next goes instead, and what follows it keeps its space.
  if (next in STRENGTH && joining.shown[left]!.trimEnd().slice(-1) in STRENGTH) return false;
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

/** What was taken beside an inline that shows no words, and what was put there: see `Took`. */
export interface Taken {
  before: string;
  after: string;
  put: string;
}

/**
 * The text right beside an index, past others of the stretch that shows nothing and past texts that nothing is left of; -1 for
 * another thing or the line's end.
 */
function nearestText(
  { shown, mendable }: Joining,
  at: number,
  step: 1 | -1,
  isEmpty: ReadonlySet<number>,
): number {
  let index = at + step;
  while (shown[index] === '' && (isEmpty.has(index) || mendable[index])) index += step;
  return mendable[index] ? index : -1;
}

/** As nearestText, where that is of the same optional passages; else -1. */
function nearestOwn(joining: Joining, at: number, step: 1 | -1, isEmpty: ReadonlySet<number>): number {
  const found = nearestText(joining, at, step, isEmpty);
  return found >= 0 && joining.passages[found] === joining.passages[at] ? found : -1;
}

/** Whether a line begins, or goes on behind a break, where nothing is shown up to an index. */
function beginsLine({ shown }: Joining, at: number): boolean {
  for (let index = at - 1; index >= 0; index -= 1)
    if (shown[index] !== '') return shown[index]!.endsWith('\n') || shown[index]!.trim() === '';
  return true;
}

const NONE: ReadonlySet<number> = new Set();
const PAIRS: Readonly<Record<string, string>> = { '(': ')', '[': ']', '“': '”', '‘': '’' };
/** Marks by how much they part: of two that meet the stronger stays. */
const STRENGTH: Readonly<Record<string, number>> = { ',': 1, ':': 2, ';': 3, '.': 4, '…': 4, '!': 5, '?': 5 };
const isPause = (sign: string) => sign === ',' || sign === ':' || sign === ';';

/** The texts right beside something that shows no words. */
interface Beside {
  left: number;
  right: number;
  before: string;
  after: string;
  /** Whether nothing is shown before it on its line; and nothing after. */
  isBare: boolean;
  isLast: boolean;
}

function besideOf(joining: Joining, at: number, isEmpty: ReadonlySet<number>): Beside {
  const left = nearestOwn(joining, at, -1, isEmpty);
  const right = nearestOwn(joining, at, 1, isEmpty);
  const textAt = (index: number) => (index < 0 ? '' : joining.shown[index]!);
  return {
    left,
    right,
    before: textAt(left),
    after: textAt(right),
    isBare: beginsLine(joining, at),
    isLast: joining.shown.slice(at).every((words) => words === ''),
  };
}

/** How many characters go. */
interface Goes {
  before: number;
  after: number;
}

/** Of two marks that meet the weaker pause goes, with the space behind it; else the second. */
function ofTwoMarks(before: string, told: string, next: string): Goes {
  const isWeaker = isPause(told) && STRENGTH[next]! > STRENGTH[told]!;
  return isWeaker
    ? { before: before.length - before.trimEnd().length + 1, after: 0 }
    : { before: 0, after: 1 };
}

/** Whether a text begins with a mark that could be one too many: an ellipsis and a decimal point are their author's. */
const beginsWithMark = (after: string): boolean =>
  after.charAt(0) in STRENGTH && !after.startsWith('..') && !/^[.,]\d/.test(after);

/** Of spaces: at the end of a line, doubled, within brackets, and before a mark that no other mark is before. */
function spaceTooMany({ before, after, isBare, isLast }: Beside): Goes | null {
  const [last, next] = [before.slice(-1), after.charAt(0)];
  if (last === ' ' && isLast) return { before: 1, after: 0 };
  if (next === ' ') return isBare || last === ' ' || last in PAIRS ? { before: 0, after: 1 } : null;
  if (last !== ' ') return null;
  const isParted = beginsWithMark(after) && !(before.trimEnd().slice(-1) in STRENGTH);
  return next === ')' || isParted ? { before: 1, after: 0 } : null;
}

/** How many characters go before it and after it for one thing that makes no sense any more; null where all does. */
function senseless(beside: Beside): Goes | null {
  const { before, after, isBare } = beside;
  const next = after.charAt(0);
  if (next !== '' && PAIRS[before.slice(-1)] === next) return { before: 1, after: 1 };
  const space = spaceTooMany(beside);
  if (space || !beginsWithMark(after)) return space;
  if (isBare) return { before: 0, after: 1 };
  const told = before.endsWith(' ') ? before.trimEnd().slice(-1) : before.slice(-1);
  return told in STRENGTH ? ofTwoMarks(before, told, next) : null;
}

/** The small letter that begins a sentence now, behind a space perhaps; '' for none. */
function smallBeginning(after: string): string {
  const small = /^ ?(\p{Ll})/u.exec(after)?.[1] ?? '';
  const capital = small.toLocaleUpperCase();
  // One whose capital does not lead back to it (ß, ſ) would not be known again.
  return capital.toLocaleLowerCase() === small && !isAddress(after.trimStart()) ? small : '';
}

/**
 * Takes away the marks that would be doubled, or enclose nothing, where something shows no words, and gives the word after it the
 * capital that it would have had: once its spaces are taken. `empty` are the indices of what shows none, in order. Of a stretch of
 * them the first keeps what is taken before it and the last what is taken after, so that each gives back what is beside it.
 */
export function takeMarks(joining: Joining, empty: readonly number[]): Map<number, Taken> {
  const kept = new Map<number, Taken>();
  const isEmpty = new Set(empty);
  const keptBy = (at: number): Taken => {
    const taken = kept.get(at) ?? { before: '', after: '', put: '' };
    kept.set(at, taken);
    return taken;
  };
  const look: Shown = (index) => joining.shown[index]!;
  const firstAfter = (left: number) => empty.find((at) => at > left)!;
  const lastBefore = (right: number) => empty.findLast((at) => at < right)!;
  for (const at of empty) {
    for (;;) {
      const beside = besideOf(joining, at, isEmpty);
      const { left, right, before, after } = beside;
      const goes = senseless(beside);
      if (!goes) break;
      if (goes.before > 0) {
        const taken = keptBy(firstAfter(left));
        taken.before = before.slice(-goes.before) + taken.before;
        joining.shown[left] = before.slice(0, -goes.before);
      }
      if (goes.after > 0) {
        keptBy(lastBefore(right)).after += after.slice(0, goes.after);
        joining.shown[right] = after.slice(goes.after);
      }
    }
  }
  for (const at of empty) {
    const right = nearestText(joining, at, 1, isEmpty);
    const after = right < 0 ? '' : joining.shown[right]!;
    const small = startsSentence(at, look) ? smallBeginning(after) : '';
    if (small === '') continue;
    const put = small.toLocaleUpperCase();
    keptBy(lastBefore(right)).put = put;
    joining.shown[right] = after.replace(small, put);
  }
  return kept;
}

/**
 * Takes the full stop behind an answer that ends its sentence by itself ("really?"). Returns which answers took one; `answered`
 * are their indices.
 */
export function takeStops(joining: Joining, answered: readonly number[]): Map<number, Taken> {
  const kept = new Map<number, Taken>();
  for (const at of answered) {
    if (!/[!?…]["”’')]*$/.test(joining.shown[at]!)) continue;
    const right = nearestOwn(joining, at, 1, NONE);
    const after = right < 0 ? '' : joining.shown[right]!;
    if (!after.startsWith('.') || after.startsWith('..') || /^\.\d/.test(after)) continue;
    joining.shown[right] = after.slice(1);
    kept.set(at, { before: '', after: '.', put: '' });
  }
  return kept;
}
