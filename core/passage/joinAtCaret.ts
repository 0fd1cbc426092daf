import type { Inline } from './inlines';
import type { Passage } from './passage';
import { isLine } from './lines';
import { textOfInlines } from './plainText';

/**
 * How wording joins what stands beside it: as words, with a space between; closely, with none put there, as an ending or a part of
 * a file's name; as it is, with nothing mended at all.
 */
export const JOINS = ['words', 'closely', 'as-is'] as const;
/** How a wording joins what stands beside it. */
export type Join = (typeof JOINS)[number];
/** How it joins, as people are told. */
export const JOINS_IN_WORDS: Record<Join, string> = {
  words: 'with spaces',
  closely: 'closely, without a space',
  'as-is': 'as it is, nothing mended',
};

/**
 * How a passage joins where its author does not say: closely where it is one piece without a space that begins or ends with a mark
 * that belongs within a word ("-Marsh", "_bill", "2026/"), else as words.
 */
export const joinOf = (passage: Passage): Join =>
  /^[-_/\\'’]|[-_/\\]$/u.test(piece(passage)) ? 'closely' : 'words';

/** The text of a passage that is one piece without a space; '' of any other. */
function piece({ content: [only, ...more] }: Passage): string {
  if (!only || more.length > 0 || !isLine(only)) return '';
  const text = textOfInlines(only.content ?? [], 'x');
  return /\s/.test(text) ? '' : text;
}

/** Whether what is placed begins in the middle of a word: its cue was typed right behind a letter, a figure or a mark within words. */
const IN_A_WORD = /[\p{L}\p{N}_-]$/u;
/** Whether a character belongs to a word. */
export const isInWord = (before: string): boolean => IN_A_WORD.test(before);

const OPENS = /[\s([{"'“‘/–—-]$/u;
const CLOSING_PUNCTUATION = /^[,.;:!?)\]}’”]/u;

const addFirst = (inlines: readonly Inline[], text: string): Inline[] => {
  const [head, ...rest] = inlines;
  return head?.type === 'text'
    ? [{ ...head, text: text + head.text }, ...rest]
    : [{ type: 'text', text }, ...inlines];
};

const addLast = (inlines: readonly Inline[], text: string): Inline[] => {
  const last = inlines[inlines.length - 1];
  return last?.type === 'text'
    ? [...inlines.slice(0, -1), { ...last, text: last.text + text }]
    : [...inlines, { type: 'text', text }];
};

const withoutLeadingSpace = (inlines: readonly Inline[]): readonly Inline[] => {
  const [head, ...rest] = inlines;
  if (head?.type !== 'text' || !head.text.startsWith(' ')) return inlines;
  const text = head.text.trimStart();
  return text === '' ? rest : [{ ...head, text }, ...rest];
};

/** Without the full stop at its end, where the line goes on with one. */
function withoutLastStop(inlines: readonly Inline[]): readonly Inline[] {
  const last = inlines[inlines.length - 1];
  if (last?.type !== 'text' || !last.text.endsWith('.')) return inlines;
  const text = last.text.slice(0, -1);
  return text === '' ? inlines.slice(0, -1) : [...inlines.slice(0, -1), { ...last, text }];
}

/** Whether words that end with `before` and words that start with `after` need a space between them. */
function wantsSpace(before: string, after: string): boolean {
  if (before === '' || after === '') return false;
  return !OPENS.test(before) && !/^\s/.test(after) && !CLOSING_PUNCTUATION.test(after);
}

interface Sides {
  before: string;
  after: string;
  /** Whether a space may be put before; and after. */
  spaceBefore: boolean;
  spaceAfter: boolean;
}

function joinLine(
  line: readonly Inline[],
  { before, after, spaceBefore, spaceAfter }: Sides,
  isFirst: boolean,
  isLast: boolean,
) {
  let joined = line;
  if (isFirst && /(^|\s)$/.test(before)) joined = withoutLeadingSpace(joined);
  // A blank that has no answer yet will have words: it joins as a letter does.
  const words = textOfInlines(joined, 'x');
  if (isFirst && spaceBefore && wantsSpace(before, words)) joined = addFirst(joined, ' ');
  if (isLast && /^[.!?]/.test(after) && /[^.]\.$/.test(words)) joined = withoutLastStop(joined);
  if (isLast && spaceAfter && wantsSpace(words, after)) joined = addLast(joined, ' ');
  return joined;
}

/**
 * A passage made ready to stand between the text before the caret and the text after it, both of the
 * caret's own line: a space is added where words would run together and dropped where one would be doubled.
 * How it joins is told by `join`; `inWord` says that what is one piece goes on with the word before it.
 * Returns the same object when it joins properly as it is.
 */
export function joinAtCaret(
  passage: Passage,
  before: string,
  after: string,
  join: Join = 'words',
  inWord = false,
): Passage {
  if (join === 'as-is') return passage;
  const spaced = join === 'words';
  const sides = {
    before,
    after,
    spaceBefore: spaced && !(inWord && piece(passage) !== ''),
    spaceAfter: spaced,
  };
  const last = passage.content.length - 1;
  const content = passage.content.map((block, index) => {
    if (!isLine(block) || (index !== 0 && index !== last)) return block;
    const line = block.content ?? [];
    const joined = joinLine(line, sides, index === 0, index === last);
    return joined === line ? block : { ...block, content: [...joined] };
  });
  return content.every((block, index) => block === passage.content[index])
    ? passage
    : { ...passage, content };
}
