import { newField, type EntryContent, type Field } from '#core/entry';
import type { Passage } from '#core/passage';

/** A name that no field of the list has yet. */
function freeName(name: string, fields: readonly Field[]): string {
  const taken = new Set(fields.map((field) => field.name.toLocaleLowerCase()));
  let free = name;
  for (let number = 2; taken.has(free.toLocaleLowerCase()); number += 1) free = `${name} ${number}`;
  return free;
}

/** A new field of words to be typed, named after the words it is made of. */
export function fieldFromWords(words: string, fields: readonly Field[]): Field {
  const wanted = words.slice(0, 40).trim() || 'Blank';
  const name = freeName(wanted.charAt(0).toLocaleUpperCase() + wanted.slice(1), fields);
  const ids = new Set(fields.map(({ id }) => id));
  let number = fields.length + 1;
  while (ids.has(`f${number}`)) number += 1;
  return newField('text', `f${number}`, name);
}

/** The same field as another kind: what both have in common is kept. */
export function asKind(field: Field, kind: Field['kind']): Field {
  if (field.kind === kind) return field;
  const { id, name, question, hint, required } = field;
  return { ...newField(kind, id, name), question, hint, required };
}

/** The entry with its main wording replaced. */
export function withPassage(content: EntryContent, passage: Passage): EntryContent {
  const [wording, ...others] = content.wordings;
  const [part, ...rest] = wording!.parts;
  return { ...content, wordings: [{ ...wording!, parts: [{ ...part!, passage }, ...rest] }, ...others] };
}

/** The passage of an entry's main wording. */
export const mainPassage = (content: EntryContent): Passage => content.wordings[0]!.parts[0]!.passage;
