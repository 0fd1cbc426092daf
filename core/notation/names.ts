import type { Field, NamedCondition } from '#core/entry';

/** What a wording's notation can name: the entry's fields and conditions. */
export interface NotationNames {
  fields: readonly Field[];
  conditions: readonly NamedCondition[];
}

const same = (a: string, b: string) => a.toLocaleLowerCase() === b.toLocaleLowerCase();

/** The field of a name, capitals ignored, else of an id; undefined when there is none. */
export const fieldNamed = (fields: readonly Field[], name: string): Field | undefined =>
  fields.find((field) => same(field.name, name)) ?? fields.find(({ id }) => id === name);

/** How a field of an id is named: by its name where that finds it again, else by `#` and its id. */
export function nameFor(fields: readonly Field[], id: string): string {
  const field = fields.find((one) => one.id === id);
  return field && fieldNamed(fields, field.name) === field && !field.name.startsWith('#')
    ? field.name
    : `#${id}`;
}

/** The id a name stands for: `#id` as it is, else that of the field so named; undefined when there is none. */
export const idNamed = (fields: readonly Field[], name: string): string | undefined =>
  name.startsWith('#') ? name.slice(1) : fieldNamed(fields, name)?.id;
