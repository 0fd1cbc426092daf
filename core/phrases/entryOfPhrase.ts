import { newEntry, newField, proposeTitle, type EntryContent, type Field } from '#core/entry';
import type { Inline } from '#core/passage';
import type { PhraseToBank } from './worthBanking';

const IS_NUMBER = /^[\d.,\s]+$/u;
/** Where so few different words stood in a place they are offered for choice; where more, they are asked for. */
const MOST_OPTIONS = 8;

function fieldFor(differs: readonly string[], at: number): Field {
  const isNumber = differs.every((word) => IS_NUMBER.test(word));
  const id = `differs-${at + 1}`;
  if (isNumber) return newField('number', id, at === 0 ? 'Number' : `Number ${at + 1}`);
  const name = at === 0 ? 'Word' : `Word ${at + 1}`;
  if (differs.length > MOST_OPTIONS) return newField('text', id, name);
  const field = newField('choice', id, name);
  if (field.kind !== 'choice') return field;
  const options = differs.map((label, option) => ({ id: `o${option + 1}`, label, words: null }));
  return { ...field, options };
}

/** An entry made of a phrase: what differed from place to place is a field, offering what stood there; a number's is asked for. */
export function entryOfPhrase({ pieces }: Pick<PhraseToBank, 'pieces'>, language: string): EntryContent {
  const fields: Field[] = [];
  const content = pieces.map((piece): Inline => {
    if ('text' in piece) return { type: 'text', text: piece.text.replace(/\s+/g, ' ') };
    const field = fieldFor(piece.differs, fields.length);
    fields.push(field);
    return {
      type: 'blank',
      attrs: { field: field.id, form: 'as-is', placement: null, text: '', state: 'gap', dropped: 'none' },
    };
  });
  const passage = { type: 'doc' as const, content: [{ type: 'paragraph' as const, content }] };
  return { ...newEntry(proposeTitle(passage), language, passage), fields };
}
