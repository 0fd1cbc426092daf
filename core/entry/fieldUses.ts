import { namesIn, readFormula } from '#core/formula';
import { linesOf } from '#core/passage';
import { fieldsOfCondition } from './condition';
import { conditionsInUse } from './conditionsInUse';
import { formulaOf } from './calculation';
import type { EntryContent } from './entry';
import type { Field } from './field';
import { nestedBlanks } from './nestedBlanks';
import { nestedWordsOf } from './nestedWords';

/** In how many places a field is used: blanks of all wordings, conditions, calculations, words of other fields. */
export interface FieldUses {
  blanks: number;
  elsewhere: number;
}

const byName = (fields: readonly Field[], name: string): Field | undefined =>
  fields.find(({ id }) => id === name) ??
  fields.find((field) => field.name.toLocaleLowerCase() === name.toLocaleLowerCase());

/** The names that a field's calculation and nested words use, as they are written there. */
export function namesUsedBy(field: Field, fields: readonly Field[]): string[] {
  const nested = nestedWordsOf(field).flatMap(({ words }) =>
    nestedBlanks(words).flatMap((piece) => ('field' in piece ? [piece.field] : [])),
  );
  if (field.kind !== 'computed') return nested;
  const nameOf = (id: string) => fields.find((one) => one.id === id)?.name ?? id;
  const read = readFormula(formulaOf(field.calculation, nameOf));
  return read.ok ? namesIn(read.value).map(({ name }) => name) : [];
}

/** Where each field of an entry is used, by its id; every field has an entry. */
export function fieldUses(content: EntryContent): ReadonlyMap<string, FieldUses> {
  const uses = new Map<string, FieldUses>(content.fields.map(({ id }) => [id, { blanks: 0, elsewhere: 0 }]));
  const count = (id: string | undefined, where: keyof FieldUses) => {
    const found = id === undefined ? undefined : uses.get(id);
    if (found) found[where] += 1;
  };
  for (const { passage } of content.wordings.flatMap(({ parts }) => parts))
    for (const inline of linesOf(passage).flat())
      if (inline.type === 'blank') count(inline.attrs.field, 'blanks');
  for (const { when } of conditionsInUse(content))
    for (const id of fieldsOfCondition(when)) count(id, 'elsewhere');
  for (const field of content.fields)
    for (const name of namesUsedBy(field, content.fields))
      count(byName(content.fields, name)?.id, 'elsewhere');
  return uses;
}
