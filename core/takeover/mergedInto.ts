import type { EntryContent, Field, Wording } from '#core/entry';
import { mapLines, plainText, type Passage } from '#core/passage';

/** Whether an entry can be merged into another: it has nothing that its fields are named in but the blanks of its wordings. */
export const canMerge = ({ conditions, fields }: EntryContent): boolean =>
  (conditions ?? []).length === 0 && fields.every(({ kind }) => kind !== 'computed');

const isSameField = (one: Field, other: Field): boolean =>
  one.kind === other.kind && one.name.toLowerCase() === other.name.toLowerCase();

/** The fields of both, and what those of the second are called then. */
function allFields(
  ours: readonly Field[],
  theirs: readonly Field[],
): { fields: Field[]; ids: Map<string, string> } {
  const fields = [...ours];
  const ids = new Map<string, string>();
  for (const field of theirs) {
    const same = ours.find((one) => isSameField(one, field));
    if (same) {
      ids.set(field.id, same.id);
      continue;
    }
    let [id, name] = [field.id, field.name];
    for (let count = 2; fields.some((one) => one.id === id); count += 1)
      id = `${field.id.slice(0, 50)}-${count}`;
    for (let count = 2; fields.some((one) => one.name.toLowerCase() === name.toLowerCase()); count += 1)
      name = `${field.name.slice(0, 55)} ${count}`;
    fields.push({ ...field, id, name });
    ids.set(field.id, id);
  }
  return { fields, ids };
}

const withFields = (passage: Passage, ids: ReadonlyMap<string, string>): Passage =>
  mapLines(passage, (line) =>
    line.map((inline) => {
      if (inline.type !== 'blank') return inline;
      const field = ids.get(inline.attrs.field) ?? inline.attrs.field;
      return { ...inline, attrs: { ...inline.attrs, field } };
    }),
  );

const saidBy = ({ language, parts }: Wording): string =>
  `${language}\n${parts.map(({ passage }) => plainText(passage, '_')).join('\n')}`.toLowerCase();

const freeName = (name: string, taken: readonly string[]): string => {
  let free = name;
  for (let count = 2; taken.includes(free); count += 1) free = `${name.slice(0, 55)} ${count}`;
  return free;
};

/**
 * An entry with what another brings that it has not: wordings that read otherwise are further ones, cues and tags come beside its own, and
 * a purpose or a note where it has none. What it has stays.
 */
export function mergedInto(ours: EntryContent, theirs: EntryContent): EntryContent {
  const { fields, ids } = allFields(ours.fields, theirs.fields);
  const said = new Set(ours.wordings.map(saidBy));
  const wordings = [...ours.wordings];
  for (const wording of theirs.wordings) {
    if (said.has(saidBy(wording))) continue;
    const id = freeName(
      wording.id,
      wordings.map((one) => one.id),
    );
    const isFirstIn = !wordings.some(({ language }) => language === wording.language);
    const name = freeName(
      isFirstIn && wording.name === 'Main' ? wording.language : wording.name,
      wordings.map((one) => one.name),
    );
    wordings.push({
      ...wording,
      id,
      name,
      parts: wording.parts.map((part) => ({ ...part, passage: withFields(part.passage, ids) })),
    });
  }
  const has = new Set(ours.cues.map(({ text }) => text.toLowerCase()));
  const used = new Set(
    wordings.flatMap((one) => (ours.wordings.includes(one) ? [] : [one])).map(({ id }) => id),
  );
  return {
    ...ours,
    purpose: ours.purpose || theirs.purpose,
    note: ours.note || theirs.note,
    tags: [...new Set([...ours.tags, ...theirs.tags])].slice(0, 50),
    cues: [...ours.cues, ...theirs.cues.filter(({ text }) => !has.has(text.toLowerCase()))].slice(0, 20),
    wordings,
    fields: used.size > 0 ? fields : ours.fields,
  };
}
