import { remembering } from '#core/remembering';
import type { Inline, TextInline } from './inlines';

const untouchable = (inline: TextInline) =>
  inline.marks?.some((mark) => mark.type === 'code' || mark.type === 'link') ?? false;

/** Web and mail addresses are written as they are. */
const ADDRESS = /[/@]/;

const RUN_TOGETHER = /\p{L}[,;]\p{L}/u;
const BETWEEN_LETTERS = /(?<=\p{L})[,;](?=\p{L})/gu;

/** Mends the spaces within one run. Of a long wording all but one are as they were when it is read anew, as at every key. */
const tidyWithin = remembering(
  (text) =>
    text
      .replace(/ {2,}/g, ' ')
      .replace(/(?<=\S) +(?=[,;](?:\s|\p{L}|$)|[.:!?](?:\s|$))/gu, '')
      // A comma or semicolon between letters wants a space; digits are left alone: 1,000 and 10.30. Word by word: a pattern
      // that begins anew within each long word would take time by its square.
      .replace(/\S+/g, (word) =>
        !RUN_TOGETHER.test(word) || ADDRESS.test(word) ? word : word.replace(BETWEEN_LETTERS, '$& '),
      ),
  1_000_000,
);

/** Mends the spaces of one run, given the character before it ('' at the start of a line). */
function tidyText(text: string, before: string): string {
  const tidied = tidyWithin(text);
  return /\s/.test(before) || before === '' ? tidied.replace(/^ +/, '') : tidied;
}

/**
 * A wording's own static text with its spaces mended: none doubled or before a full stop or comma, one after
 * a comma. Never inside code or links, nor between digits. The same array when nothing was wrong.
 */
export function tidyInlines(inlines: readonly Inline[]): readonly Inline[] {
  let before = '';
  let changed = false;
  const tidied = inlines.flatMap((inline): Inline[] => {
    if (inline.type !== 'text') {
      before = inline.type === 'hardBreak' ? '' : 'x';
      return [inline];
    }
    const text = untouchable(inline) ? inline.text : tidyText(inline.text, before);
    before = text.slice(-1) || before;
    if (text === inline.text) return [inline];
    changed = true;
    return text === '' ? [] : [{ ...inline, text }];
  });
  return changed ? tidied : inlines;
}
