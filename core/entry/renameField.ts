import { namesIn, readFormula } from '#core/formula';
import { nameInFormula } from './calculation';
import type { Field } from './field';
import { nestedBlanks } from './nestedBlanks';
import { mapNestedWords } from './nestedWords';

const same = (a: string, b: string) => a.toLocaleLowerCase() === b.toLocaleLowerCase();

/** A formula with every mention of a name written as another, everything else as it was. */
function renamedIn(formula: string, from: string, to: string): string {
  const read = readFormula(formula);
  if (!read.ok) return formula;
  return namesIn(read.value)
    .filter(({ name }) => same(name, from))
    .sort((a, b) => b.from - a.from)
    .reduce((text, place) => text.slice(0, place.from) + nameInFormula(to) + text.slice(place.to), formula);
}

const renamedWords = (words: string, from: string, to: string): string =>
  nestedBlanks(words)
    .map((piece) => {
      if ('words' in piece) return piece.words;
      const name = same(piece.field, from) ? to : piece.field;
      return piece.form === 'as-is' ? `{${name}}` : `{${name}|${piece.form}}`;
    })
    .join('');

/**
 * The fields with one of them under another name: formulas and words of options that mention it follow. A formula that
 * cannot be read stays as it is.
 */
export function renameField(fields: readonly Field[], id: string, to: string): Field[] {
  const from = fields.find((field) => field.id === id)?.name;
  if (from === undefined || from === to) return [...fields];
  return fields.map((field) => {
    const named = field.id === id ? { ...field, name: to } : field;
    const worded = mapNestedWords(named, (words) => renamedWords(words, from, to));
    if (worded.kind !== 'computed' || worded.calculation.by !== 'formula') return worded;
    const formula = renamedIn(worded.calculation.formula, from, to);
    return { ...worded, calculation: { by: 'formula', formula } };
  });
}
