import { DATE_FORMS } from '#core/calendar';
import type { Field } from '#core/entry';
import { mapLines, type Passage } from '#core/passage';
import { blankedOut, type BlankedStretch } from './blankedOut';
import type { Particular } from './findParticulars';

/** Whether it is a whole day, in a form that a date can be written in. */
const isDateForm = (form: string): boolean => DATE_FORMS.some((one) => one === form);

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
    const { path, label, form } = particular;
    const key = path ?? sameWords(particular);
    const known = this.known.get(key);
    if (known) return known;
    const name = this.names.take(label);
    const id = this.ids.take(name.toLowerCase().replace(/[^a-z0-9]+/g, '-'), '-');
    const shared = { id, name, question: '', hint: '', required: true };
    const made: Field =
      path !== null
        ? { ...shared, kind: 'detail', path }
        : isDateForm(form)
          ? { ...shared, kind: 'date', starting: 'none' }
          : { ...shared, kind: 'text', starting: '' };
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
  const byLine = new Map<number, BlankedStretch[]>();
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
      ? blankedOut(
          line,
          [...stretches].sort((a, b) => a.from - b.from),
        )
      : line;
  });
  return { passage: blanked, fields: maker.fields };
}
