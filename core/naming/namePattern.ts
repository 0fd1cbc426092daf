import { DATE_FORMS, type DateForm } from '#core/calendar';
import { newEntry, newField, type EntryContent, type Field } from '#core/entry';
import type { Inline, Passage } from '#core/passage';

/** A piece of a name; a month before is the same day a month before, as of a bill that comes in the month after. */
export type NamePiece =
  | { kind: 'date' | 'month-before'; form: DateForm }
  | { kind: 'sender' | 'subject' | 'number' | 'person' }
  | { kind: 'words'; words: string };
export type PieceKind = NamePiece['kind'];

/** What pieces are called, and the fields that they ask for. */
export const PIECE_NAMES: Record<Exclude<PieceKind, 'words'>, string> = {
  date: 'Date',
  'month-before': 'Month before',
  sender: 'Sender',
  subject: 'Subject',
  number: 'Number',
  person: 'Person',
};

const ASKS: Record<'sender' | 'subject' | 'number', string> = {
  sender: 'Who is it from?',
  subject: 'What is it about?',
  number: 'Which number does it bear?',
};

function fieldOf(kind: Exclude<PieceKind, 'words'>): Field {
  const name = PIECE_NAMES[kind];
  switch (kind) {
    case 'date':
      return { ...newField('date', kind, name), question: 'Of which day is it?' };
    case 'month-before':
      return {
        ...{ id: kind, name, question: '', hint: '', required: true, kind: 'computed' as const },
        calculation: { by: 'moved', from: { field: 'date' }, count: -1, step: 'months' },
        ...{ unit: '', decimals: null },
      };
    case 'person':
      return { ...newField('detail', kind, name), question: 'About whom is it?' };
    default:
      return { ...newField('text', kind, name), question: ASKS[kind] };
  }
}

function inlineOf(piece: NamePiece): Inline {
  if (piece.kind === 'words') return { type: 'text', text: piece.words };
  const form = 'form' in piece ? piece.form : 'as-is';
  return { type: 'blank', attrs: { field: piece.kind, form, placement: null } } as Inline;
}

/**
 * A pattern of names as the entry of the bank that it is: its pieces in order with a joiner between them, each a blank that asks. `language`: of
 * its words (BCP 47). Throws a RangeError for no pieces.
 */
export function entryOfPattern(
  title: string,
  language: string,
  pieces: readonly NamePiece[],
  joiner: string,
): EntryContent {
  if (pieces.length === 0) throw new RangeError('a pattern of names needs a piece');
  const line = pieces.flatMap((piece, at): Inline[] =>
    at === 0 || joiner === '' ? [inlineOf(piece)] : [{ type: 'text', text: joiner }, inlineOf(piece)],
  );
  const joined = line.reduce<Inline[]>((all, one) => {
    const last = all.at(-1);
    if (last?.type === 'text' && one.type === 'text')
      return [...all.slice(0, -1), { ...last, text: last.text + one.text }];
    return [...all, one];
  }, []);
  const passage: Passage = { type: 'doc', content: [{ type: 'paragraph', content: joined }] };
  const entry = newEntry(title, language, passage);
  const asked = new Set(pieces.flatMap(({ kind }) => (kind === 'words' ? [] : [kind])));
  // What it is worked out from is asked too, where no blank shows it.
  if (asked.has('month-before')) asked.add('date');
  return {
    ...entry,
    wordings: entry.wordings.map((wording) => ({ ...wording, joins: 'as-is' as const })),
    fields: [...asked].map(fieldOf),
  };
}

/** The forms of a date that sort by themselves, then the others: as they are offered for a name. */
export const NAME_DATE_FORMS: readonly DateForm[] = [
  ...(['iso', 'underscores'] as const),
  ...DATE_FORMS.filter((form) => form !== 'iso' && form !== 'underscores'),
];
