import type { Answers, DraftDocument } from '#core/draft';
import { isSame, mergedPassage } from '#core/difference';
import type { EntryContent } from '#core/entry';
import { place, preparedEntry, refillPassage, type FindEntry } from '#core/fill';
import { joinAtCaret, mapLines, type Passage } from '#core/passage';
import type { Writer } from '#core/signing';
import { answersOfRow, recordOfRow } from './rowRecord';
import type { BatchSetup } from './setup';

/** Under this id the entry of a row is placed in its letter: the same row gives the same letter. */
const PLACED = 'letter';

/** What a letter is made of beside its row. */
export interface LetterRequest {
  setup: Pick<BatchSetup, 'columns' | 'day'>;
  entry: { id: string; revision: number; content: EntryContent };
  /** One of its wordings; null for the one in the row's language. */
  wording: string | null;
  writer?: Writer;
  find?: FindEntry;
}

/** Alternates that are taken by turns go on from row to row, so that neighbours do not read the same. */
const turnsBefore = ({ fields }: EntryContent, position: number): Answers =>
  Object.fromEntries(
    fields.flatMap((field) =>
      field.kind === 'alternates'
        ? [[field.id, { kind: 'alternate' as const, index: position % field.alternates.length }]]
        : [],
    ),
  );

/** The letter of a row, as if its entry were placed on an empty leaf. `position`: of the row in its table, from 0. */
export function rowLetter(
  cells: readonly string[],
  position: number,
  { setup, entry, wording, writer, find }: LetterRequest,
): DraftDocument {
  const record = recordOfRow(
    setup,
    cells,
    entry.content.wordings.map(({ language }) => language),
  );
  const chosen = wording === null ? {} : { wording };
  const asked = { ...chosen, entry, record, ...(find && { find }) };
  const { fields } = preparedEntry(asked).content;
  const placed = place({
    ...asked,
    ...{ cue: null, today: setup.day, now: '12:00', id: PLACED, ...(writer && { writer }) },
    answers: answersOfRow(setup, cells, fields),
    last: turnsBefore(entry.content, position),
  });
  const body = joinAtCaret(placed.passage, '', '', placed.joins).content;
  const boxes = placed.boxes.map(({ name, passage }) => ({
    type: 'box' as const,
    attrs: { name },
    content: passage.content,
  }));
  const whole: Passage = { type: 'doc', content: [...boxes, ...body] };
  // Where the keys would go on after placing: nobody has pressed one.
  const { content } = mapLines(whole, (line) => line.filter(({ type }) => type !== 'caretMark'));
  return { type: 'doc', content, attrs: { placements: { [PLACED]: placed.placement } } };
}

/** A letter changed by hand, with what it was made from. */
export interface ChangedLetter {
  document: DraftDocument;
  /** The letter of the row as it was when it was changed. */
  base: DraftDocument;
}

/** Whether what a letter was changed from is another by now: its wording or its row has changed. */
export const hasMovedOn = ({ base }: ChangedLetter, fresh: DraftDocument): boolean =>
  !isSame(withoutRevision(base), withoutRevision(fresh));

/** A newer revision with the same words is no other letter. */
const withoutRevision = ({ attrs, ...passage }: DraftDocument) => ({
  ...passage,
  answers: Object.values(attrs.placements).map(({ answers }) => answers),
});

/**
 * A letter changed by hand with what its wording or its row has become since: what was changed by hand stays, answers too. Where both touch
 * the same words those by hand stand, and are counted.
 */
export function takenIn(
  { document, base }: ChangedLetter,
  fresh: DraftDocument,
): { document: DraftDocument; clashes: number } {
  const [was, mine, now] = [base, document, fresh].map(({ attrs }) => attrs.placements[PLACED]);
  const { passage, clashes } = mergedPassage(base, document, fresh);
  if (!now) return { document: { ...document, content: passage.content }, clashes };
  const byHand = Object.entries(mine?.answers ?? {}).filter(
    ([field, answer]) => !isSame(answer, was?.answers[field]),
  );
  const placements = {
    ...document.attrs.placements,
    [PLACED]: { ...now, answers: { ...now.answers, ...Object.fromEntries(byHand) } },
  };
  const { content } = refillPassage(passage, placements);
  return { document: { ...document, content, attrs: { ...document.attrs, placements } }, clashes };
}
