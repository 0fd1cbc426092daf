import type { Inline, Line } from '#core/passage';

/** Some characters of a text (UTF-16; a node that is no text counts as one), and what is put in their place. */
export interface Edit {
  from: number;
  to: number;
  put: string;
}

/** A line with one edit made: what is put down has the marks of the first character that it replaces. */
function withEdit(line: Line, { from, to, put }: Edit): Line {
  let at = 0;
  let isPut = put === '';
  const changed = line.flatMap((inline): Inline[] => {
    const start = at;
    at += inline.type === 'text' ? inline.text.length : 1;
    if (inline.type !== 'text' || at <= from || start >= to) return [inline];
    const head = inline.text.slice(0, Math.max(0, from - start));
    const tail = inline.text.slice(Math.min(inline.text.length, to - start));
    const text = head + (isPut ? '' : put) + tail;
    isPut = true;
    return text === '' ? [] : [{ ...inline, text }];
  });
  return isPut ? changed : line;
}

/** A line with edits of its text; blanks and other nodes within what is replaced stay. The edits must not overlap. */
export const withEdits = (line: Line, edits: readonly Edit[]): Line =>
  [...edits].sort((a, b) => b.from - a.from).reduce<Line>(withEdit, line);
