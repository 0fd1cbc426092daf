import type { Field } from '#core/entry';
import { mapLines, type BlankInline, type Inline, type Line, type Passage } from '#core/passage';
import type { Particular } from './findParticulars';

/** A stretch of a line that becomes a blank. */
interface Stretch {
  from: number;
  to: number;
  blank: Omit<BlankInline, 'marks'>;
}

/** Splits a line's inlines so that each stretch, in reading order and apart, becomes one blank with the marks of its first character. */
function blankOut(line: Line, stretches: readonly Stretch[]): Line {
  const changed: Inline[] = [];
  let next = 0;
  let at = 0;
  for (const inline of line) {
    const start = at;
    at += inline.type === 'text' ? inline.text.length : 1;
    if (inline.type !== 'text') {
      changed.push(inline);
      continue;
    }
    let done = start;
    const keepTo = (end: number) => {
      if (end > done) changed.push({ ...inline, text: inline.text.slice(done - start, end - start) });
    };
    while (next < stretches.length && stretches[next]!.from < at) {
      const { from, to, blank } = stretches[next]!;
      keepTo(from);
      // One that began in an inline before has its blank already.
      if (from >= start) changed.push({ ...blank, ...(inline.marks ? { marks: inline.marks } : {}) });
      done = Math.max(done, Math.min(to, at));
      if (to > at) break;
      next += 1;
    }
    keepTo(at);
  }
  return changed;
}

/** Names that are taken, and from which number on each has still a free one: asked for many, none is tried twice. */
class Names {
  private readonly taken: Set<string>;
  private readonly next = new Map<string, number>();

  constructor(taken: Iterable<string>) {
    this.taken = new Set(taken);
  }

  /** The name, or the name with the first number that makes it unlike the others; it is taken from then on. */
  take(name: string, joined = ' '): string {
    let free = name;
    let number = this.next.get(name) ?? 2;
    for (; this.taken.has(free.toLowerCase()); number += 1) free = `${name}${joined}${number}`;
    this.next.set(name, number);
    this.taken.add(free.toLowerCase());
    return free;
  }
}

/** What the record does not know is asked once, however often the same words stand there. */
const sameWords = ({ label, words }: Particular) => `${label}\n${words.toLowerCase()}`;

/** Makes the fields that particulars become, one for each detail and one for each of the words the record does not know. */
class FieldMaker {
  readonly fields: Field[];
  private readonly names: Names;
  private readonly ids: Names;
  private readonly known = new Map<string, Field>();

  constructor(declared: readonly Field[]) {
    this.fields = [...declared];
    this.names = new Names(declared.map(({ name }) => name.toLowerCase()));
    this.ids = new Names(declared.map(({ id }) => id));
    for (const field of declared) if (field.kind === 'detail') this.known.set(field.path, field);
  }

  fieldFor(particular: Particular): Field {
    const { path, label } = particular;
    const key = path ?? sameWords(particular);
    const known = this.known.get(key);
    if (known) return known;
    const name = this.names.take(label);
    const id = this.ids.take(name.toLowerCase().replace(/[^a-z0-9]+/g, '-'), '-');
    const shared = { id, name, question: '', hint: '', required: true };
    const made: Field =
      path === null ? { ...shared, kind: 'text', starting: '' } : { ...shared, kind: 'detail', path };
    this.fields.push(made);
    this.known.set(key, made);
    return made;
  }
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
  const maker = new FieldMaker(declared);
  const byLine = new Map<number, Stretch[]>();
  for (const particular of particulars) {
    const field = maker.fieldFor(particular);
    const { line, from, to, form } = particular;
    const attrs = {
      field: field.id,
      form,
      placement: null,
      text: '',
      state: 'gap',
      dropped: 'none',
    } as const;
    const beside = byLine.get(line) ?? [];
    beside.push({ from, to, blank: { type: 'blank', attrs } });
    byLine.set(line, beside);
  }
  let index = -1;
  const blanked = mapLines(passage, (line) => {
    index += 1;
    const stretches = byLine.get(index);
    return stretches
      ? blankOut(
          line,
          [...stretches].sort((a, b) => a.from - b.from),
        )
      : line;
  });
  return { passage: blanked, fields: maker.fields };
}
