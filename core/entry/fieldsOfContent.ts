import type { EntryContent, Part, Wording } from './entry';
import type { Field } from './field';
import { newField } from './newEntry';
import { optionOfWords } from './optionLines';
import { cutTo } from '#core/language';
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
  const wanted = cutTo(words, 40).trim() || 'Blank';
  const name = freeName(wanted.charAt(0).toLocaleUpperCase() + wanted.slice(1), fields);
  const ids = new Set(fields.map(({ id }) => id));
  let number = fields.length + 1;
  while (ids.has(`f${number}`)) number += 1;
  return newField('text', `f${number}`, name);
}

/**
 * The same field as another kind: what both have in common is kept. `madeFrom` are the words of the wording that it was made of:
 * they are what it puts down first, as they stood there.
 */
export function asKind(field: Field, kind: Field['kind'], madeFrom = ''): Field {
  if (field.kind === kind) return field;
  const { id, name, question, hint, required } = field;
  const fresh = { ...newField(kind, id, name), question, hint, required };
  if (madeFrom.trim() === '') return fresh;
  switch (fresh.kind) {
    case 'choice':
      return { ...fresh, options: [optionOfWords(madeFrom)] };
    case 'alternates':
      return { ...fresh, alternates: [{ words: madeFrom }] };
    case 'yes-no':
      return { ...fresh, yes: madeFrom, no: '' };
    default:
      return fresh;
  }
}

/** Which part of which wording is at hand. */
export interface WordingPlace {
  wording: string;
  part: string;
}

/** The part at a place, and its wording; the first of either where the place is gone. */
export function at(content: EntryContent, place: WordingPlace): { wording: Wording; part: Part } {
  const wording = content.wordings.find(({ id }) => id === place.wording) ?? content.wordings[0]!;
  return { wording, part: wording.parts.find(({ id }) => id === place.part) ?? wording.parts[0]! };
}

/** The entry with the passage at a place replaced. */
export function withPassage(content: EntryContent, place: WordingPlace, passage: Passage): EntryContent {
  const { wording, part } = at(content, place);
  const parts = wording.parts.map((one) => (one === part ? { ...part, passage } : one));
  return {
    ...content,
    wordings: content.wordings.map((one) => (one === wording ? { ...wording, parts } : one)),
  };
}

/** The text of one of an entry's wordings (its first unless named), without what goes to boxes of its own. */
export function mainPassage({ wordings }: EntryContent, wording?: string): Passage {
  const found = wordings.find(({ id }) => id === wording) ?? wordings[0]!;
  return found.parts.at(-1)!.passage;
}
