import type { CalendarDate } from '#core/calendar';
import type { DraftDocument, Placement } from '#core/draft';
import { mapLines, type Inline, type Mark } from '#core/passage';
import type { CaseRecord } from '#core/record';
import { answersFromRecord } from './answersFromRecord';
import { isByHand } from './followedAnswers';
import { refillPassage } from './refill';

const askedAgain = (mark: Mark): Mark => (mark.type === 'confirmed' ? { type: 'confirm' } : mark);

function withStatementsOpen(inline: Inline): Inline {
  const open = inline.marks ? { ...inline, marks: inline.marks.map(askedAgain) } : inline;
  if (open.type !== 'folded') return open;
  return { ...open, attrs: { ...open.attrs, content: open.attrs.content.map(withStatementsOpen) } };
}

/** A placement as of another day: what its blanks took from the record, they take from the record as it is now. */
function placedAnew(placement: Placement, record: CaseRecord, today: CalendarDate): Placement {
  const { fields, answers, language } = placement;
  const resting = fields.filter(
    ({ id, kind }) => (kind === 'detail' || kind === 'person') && !isByHand(answers[id]),
  );
  const kept = { ...answers };
  for (const { id } of resting) delete kept[id];
  const known = answersFromRecord(resting, { record, today, language });
  const { offered: _, ...rest } = placement;
  return { ...rest, day: today, answers: { ...kept, ...known } };
}

/**
 * A draft to begin another with: its words and what was answered by hand stay; what blanks took from the record they take from
 * the record as it is now, what is computed from the day is computed from `today`, and every statement that was confirmed wants
 * confirming again, since it was so of another day.
 */
export function copiedDraft(
  document: DraftDocument,
  { record, today }: { record: CaseRecord; today: CalendarDate },
): DraftDocument {
  const placements = Object.fromEntries(
    Object.entries(document.attrs.placements).map(([id, one]) => [id, placedAnew(one, record, today)]),
  );
  const open = mapLines(document, (line) => line.map(withStatementsOpen));
  return { ...document, ...refillPassage(open, placements), attrs: { placements } };
}
