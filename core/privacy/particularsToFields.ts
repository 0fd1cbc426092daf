import type { Field } from '#core/entry';
import { mapLines, type BlankInline, type Inline, type Line, type Passage } from '#core/passage';
import type { Particular } from './findParticulars';

/** Splits a line's inlines so that [from, to) becomes one blank, with the marks of its first character. */
function blankOut(line: Line, from: number, to: number, blank: Omit<BlankInline, 'marks'>): Line {
  let at = 0;
  let done = false;
  return line.flatMap((inline): Inline[] => {
    const start = at;
    const length = inline.type === 'text' ? inline.text.length : 1;
    at += length;
    if (inline.type !== 'text' || at <= from || start >= to) return [inline];
    const head = inline.text.slice(0, Math.max(0, from - start));
    const tail = inline.text.slice(Math.min(length, to - start));
    const middle: Inline[] = done ? [] : [{ ...blank, ...(inline.marks ? { marks: inline.marks } : {}) }];
    done = true;
    return [
      ...(head ? [{ ...inline, text: head }] : []),
      ...middle,
      ...(tail ? [{ ...inline, text: tail }] : []),
    ];
  });
}

/** A name, or the name with the first number that makes it unlike the others. */
function freeName(name: string, taken: ReadonlySet<string>): string {
  let free = name;
  for (let number = 2; taken.has(free.toLowerCase()); number += 1) free = `${name} ${number}`;
  return free;
}

function fieldFor(particular: Particular, fields: Field[]): Field {
  const { path, label } = particular;
  const known = fields.find((field) => path !== null && field.kind === 'detail' && field.path === path);
  if (known) return known;
  const name = freeName(label, new Set(fields.map((field) => field.name.toLowerCase())));
  const ids = new Set(fields.map((field) => field.id));
  const id = freeName(name.toLowerCase().replace(/[^a-z0-9]+/g, '-'), ids).replace(/ /g, '-');
  const shared = { id, name, question: '', hint: '', required: true };
  const made: Field =
    path === null ? { ...shared, kind: 'text', starting: '' } : { ...shared, kind: 'detail', path };
  fields.push(made);
  return made;
}

/**
 * A passage with the given particulars turned into blanks, and the fields they need: one for each detail of
 * the record however often it stands, one of its own for each date the record does not know. `declared` are
 * fields the passage has already; they come first in what is returned.
 */
export function particularsToFields(
  passage: Passage,
  particulars: readonly Particular[],
  declared: readonly Field[] = [],
): { passage: Passage; fields: Field[] } {
  const fields = [...declared];
  const assigned = particulars.map((particular) => ({ particular, field: fieldFor(particular, fields) }));
  let index = -1;
  const blanked = mapLines(passage, (line) => {
    index += 1;
    // From the line's end to its start, so that offsets of those still to come stay true.
    const here = assigned.filter(({ particular }) => particular.line === index).reverse();
    return here.reduce<Line>((changed, { particular: { from, to, form }, field }) => {
      const attrs = {
        field: field.id,
        form,
        placement: null,
        text: '',
        state: 'gap',
        dropped: 'none',
      } as const;
      return blankOut(changed, from, to, { type: 'blank', attrs });
    }, line);
  });
  return { passage: blanked, fields };
}
