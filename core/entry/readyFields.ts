import type { Field } from './field';
import { fieldFromWords } from './fieldsOfContent';
import { newField } from './newEntry';

const TODAY = 'TODAY()';

/** A field that is wanted often, made in one step. */
export interface ReadyField {
  /** What it is called in a list to pick from. */
  label: string;
  /** Found without asking, looked up in the case, or asked for. */
  part: 'found' | 'case' | 'asked';
  /** The field, with an id and a name that none of `fields` has; `words` are those it takes the place of, '' for none. */
  make: (fields: readonly Field[], words: string) => Field;
}

/** A field of a kind under a free id, named `name` or after the words it is made of. */
function made(kind: Field['kind'], name: string, fields: readonly Field[], words = ''): Field {
  const { id, name: free } = fieldFromWords(words || name, fields);
  return newField(kind, id, free);
}

const asked = (label: string, kind: Field['kind'], name: string): ReadyField => ({
  label,
  part: 'asked',
  make: (fields, words) => made(kind, name, fields, words),
});

/** Fields that are wanted often: today and who writes, these details of the case, and what is asked for, by its kind. */
export function readyFields(details: readonly { path: string; label: string }[]): ReadyField[] {
  return [
    {
      label: 'Today’s date',
      part: 'found',
      make: (fields) => {
        const field = made('computed', 'Today', fields);
        const calculation = { by: 'formula' as const, formula: TODAY };
        return field.kind === 'computed' ? { ...field, calculation } : field;
      },
    },
    { label: 'Name of the writer', part: 'found', make: (fields) => made('writer', 'Writer', fields) },
    ...details.map(({ path, label }) => ({
      label,
      part: 'case' as const,
      make: (fields: readonly Field[]) => {
        const field = made('detail', label, fields);
        return field.kind === 'detail' ? { ...field, path } : field;
      },
    })),
    asked('A choice', 'choice', 'Choice'),
    asked('A number', 'number', 'Number'),
    asked('A date', 'date', 'Date'),
    asked('A yes or no', 'yes-no', 'Yes or no'),
  ];
}

const isToday = ({ calculation }: Extract<Field, { kind: 'computed' }>) =>
  calculation.by === 'formula' && calculation.formula.replace(/\s/g, '').toUpperCase() === TODAY;

/** A field that says the same as one that is there already: nobody is asked twice, and what is looked up stands once. */
const sameField = (field: Field, fields: readonly Field[]): Field | undefined =>
  fields.find(
    (one) =>
      (field.kind === 'detail' && one.kind === 'detail' && one.path === field.path) ||
      (field.kind === 'writer' && one.kind === 'writer' && one.detail === field.detail) ||
      (field.kind === 'computed' && one.kind === 'computed' && isToday(one) && isToday(field)),
  );

/**
 * The field for a blank that is put in: a ready one, else one of words named after those that it takes the place of ('' for none). Where
 * a field of the entry says the same it is that one, and not new.
 */
export function fieldForBlank(
  fields: readonly Field[],
  words: string,
  ready?: ReadyField,
): { field: Field; isNew: boolean } {
  const field = ready ? ready.make(fields, words) : fieldFromWords(words, fields);
  const known = ready && sameField(field, fields);
  return { field: known ?? field, isNew: !known };
}
