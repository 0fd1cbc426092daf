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

/** What the record does not know is asked once, however often the same words stand there. */
const sameWords = ({ label, words }: Particular) => `${label}\n${words.toLowerCase()}`;

function fieldFor(particular: Particular, fields: Field[], asked: Map<string, Field>): Field {
  const { path, label } = particular;
  const known =
    path === null
      ? asked.get(sameWords(particular))
      : fields.find((field) => field.kind === 'detail' && field.path === path);
  if (known) return known;
  const name = freeName(label, new Set(fields.map((field) => field.name.toLowerCase())));
  const ids = new Set(fields.map((field) => field.id));
  const id = freeName(name.toLowerCase().replace(/[^a-z0-9]+/g, '-'), ids).replace(/ /g, '-');
  const shared = { id, name, question: '', hint: '', required: true };
  const made: Field =
    path === null ? { ...shared, kind: 'text', starting: '' } : { ...shared, kind: 'detail', path };
  fields.push(made);
  if (path === null) asked.set(sameWords(particular), made);
  return made;
}

/**
 * A passage with the given particulars turned into blanks, and the fields they need: one for each detail of
 * the record however often it stands, one of its own for each of the words that the record does not know. `declared` are
 * fields the passage has already; they come first in what is returned.
 */
export function particularsToFields(
  passage: Passage,
  particulars: readonly Particular[],
  declared: readonly Field[] = [],
): { passage: Passage; fields: Field[] } {
  const fields = [...declared];
  const asked = new Map<string, Field>();
  const assigned = particulars.map((particular) => ({
    particular,
    field: fieldFor(particular, fields, asked),
  }));
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
