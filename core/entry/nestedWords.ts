import type { Field } from './field';

/** Words a field can put down that may hold blanks of other fields, each with the answer that brings them. */
export interface NestedWords {
  /** An option's id, `~none`, `yes` or `no`; null for alternates, which come by themselves. */
  answer: string | null;
  words: string;
}

/** All such words of a field. */
export function nestedWordsOf(field: Field): NestedWords[] {
  switch (field.kind) {
    case 'choice':
      return [
        ...field.options.map(({ id, words }) => ({ answer: id, words: words ?? '' })),
        { answer: '~none', words: field.none ?? '' },
      ];
    case 'yes-no':
      return [
        { answer: 'yes', words: field.yes },
        { answer: 'no', words: field.no },
      ];
    case 'alternates':
      return field.alternates.map(({ words }) => ({ answer: null, words }));
    default:
      return [];
  }
}

/** The field with each of those words put through `change`; the same field where none of them changed. */
export function mapNestedWords<F extends Field>(field: F, change: (words: string) => string): F {
  const changed = ((): Field => {
    switch (field.kind) {
      case 'choice':
        return {
          ...field,
          options: field.options.map((option) => ({
            ...option,
            words: option.words === null ? null : change(option.words),
          })),
          ...(field.none === undefined ? {} : { none: change(field.none) }),
        };
      case 'yes-no':
        return { ...field, yes: change(field.yes), no: change(field.no) };
      case 'alternates':
        return {
          ...field,
          alternates: field.alternates.map((alternate) => ({ ...alternate, words: change(alternate.words) })),
        };
      default:
        return field;
    }
  })();
  return JSON.stringify(changed) === JSON.stringify(field) ? field : (changed as F);
}
