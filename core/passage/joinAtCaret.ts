import type { Inline, Passage } from './passage';
import { isLine } from './lines';
import { textOfInlines } from './plainText';

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

function joinLine(line: readonly Inline[], before: string, after: string, isFirst: boolean, isLast: boolean) {
  let joined = line;
  if (isFirst && /(^|\s)$/.test(before)) joined = withoutLeadingSpace(joined);
  // A blank that has no answer yet will have words: it joins as a letter does.
  const words = textOfInlines(joined, 'x');
  if (isFirst && wantsSpace(before, words)) joined = addFirst(joined, ' ');
  if (isLast && /^[.!?]/.test(after) && /[^.]\.$/.test(words)) joined = withoutLastStop(joined);
  if (isLast && wantsSpace(words, after)) joined = addLast(joined, ' ');
  return joined;
}

/**
 * A passage made ready to stand between the text before the caret and the text after it, both of the
 * caret's own line: a space is added where words would run together and dropped where one would be doubled.
 * Returns the same object when it joins properly as it is.
 */
export function joinAtCaret(passage: Passage, before: string, after: string): Passage {
  const last = passage.content.length - 1;
  const content = passage.content.map((block, index) => {
    if (!isLine(block) || (index !== 0 && index !== last)) return block;
    const line = block.content ?? [];
    const joined = joinLine(line, before, after, index === 0, index === last);
    return joined === line ? block : { ...block, content: [...joined] };
  });
  return content.every((block, index) => block === passage.content[index])
    ? passage
    : { ...passage, content };
}
