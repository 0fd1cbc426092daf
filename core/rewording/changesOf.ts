import { wordDifference } from '#core/difference';
import { NODE } from './placedText';

/** A change of one line of a wording: characters (UTF-16) that gave way, and what was put in their place. */
export interface Rewording {
  line: number;
  from: number;
  to: number;
  put: string;
}

/** The difference of two texts as edits of the first. */
function editsOf(before: string, after: string): { from: number; to: number; put: string }[] {
  const edits: { from: number; to: number; put: string }[] = [];
  let at = 0;
  let open: { from: number; to: number; put: string } | null = null;
  for (const { kind, text } of wordDifference(before, after)) {
    if (kind === 'same') {
      if (open) edits.push(open);
      open = null;
      at += text.length;
      continue;
    }
    open ??= { from: at, to: at, put: '' };
    if (kind === 'added') open.put += text;
    else {
      at += text.length;
      open.to = at;
    }
  }
  if (open) edits.push(open);
  return edits;
}

const letters = (text: string) => text.replace(/\s/g, '').toLowerCase();

/** Whether words were changed, and not only their capital or the spaces around them, which placing mends by itself. */
const isOfWords = (before: string, put: string) => letters(before) !== letters(put);

type Edit = ReturnType<typeof editsOf>[number];

/** Edits with nothing but spaces between them: a sign that only lost the space at its side may be told as dropped and put again. */
function withOnlySpacesBetween(before: string, edits: readonly Edit[]): Edit[][] {
  const groups: Edit[][] = [];
  for (const edit of edits) {
    const last = groups.at(-1)?.at(-1);
    if (last && before.slice(last.to, edit.from).trim() === '') groups.at(-1)!.push(edit);
    else groups.push([edit]);
  }
  return groups;
}

/** Whether edits beside each other changed words, taken together. */
const areOfWords = (before: string, group: readonly Edit[]): boolean =>
  isOfWords(before.slice(group[0]!.from, group.at(-1)!.to), group.map(({ put }) => put).join(' '));

/**
 * What was changed by hand in the lines of a wording, told line by line: words dropped, added or put in place of others; a line
 * that is gone is dropped from its start to its end. Changes that reach over blanks or several lines at once are left out: they
 * say something else rather than the same in better words.
 */
export function changesOf(wording: readonly string[], placed: readonly string[]): Rewording[] {
  const before = wording.join('\n');
  const starts: number[] = [];
  wording.reduce((at, line) => {
    starts.push(at);
    return at + line.length + 1;
  }, 0);
  const groups = withOnlySpacesBetween(before, editsOf(before, placed.join('\n')));
  const edits = groups.filter((group) => areOfWords(before, group)).flat();
  return edits.flatMap(({ from, to, put }): Rewording[] => {
    const dropped = before.slice(from, to);
    // The end of a line that goes belongs to it.
    const lead = /^\n+/.exec(dropped)?.[0].length ?? 0;
    const tail = dropped.length > lead ? (/\n+$/.exec(dropped)?.[0].length ?? 0) : 0;
    const [start, end] = [from + lead, to - tail];
    const words = before.slice(start, end);
    if (words.includes('\n') || put.includes('\n') || words.includes(NODE) || put.includes(NODE)) return [];
    if (!isOfWords(words, put)) return [];
    const line = starts.findLastIndex((at) => at <= start);
    return [{ line, from: start - starts[line]!, to: end - starts[line]!, put }];
  });
}
