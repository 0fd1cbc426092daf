import type { CalendarDate } from '#core/calendar';
import type { Placements } from '#core/draft';
import type { Field } from '#core/entry';
import { trimEdges, type Passage } from '#core/passage';
import type { CaseRecord } from '#core/record';
import { findParticulars } from './findParticulars';
import { particularsToFields } from './particularsToFields';
import { unplaced } from './unplaced';

/** A particular of the case in captured words, said once however often it stands there. */
export interface CapturedParticular {
  /** What tells it from the others: the record's path, or the words where the record does not know them. */
  key: string;
  words: string;
  label: string;
}

/** Words of a draft as a wording: the passage with blanks, the fields it needs, what was found in it. */
export interface Captured {
  passage: Passage;
  fields: Field[];
  particulars: CapturedParticular[];
}

/**
 * Makes a wording of words taken from a draft: edges trimmed, blanks of placements kept as blanks, and the
 * case's particulars turned into fields, but for those whose key is in `turnedBack`.
 */
export function capture(
  words: Passage,
  draft: { placements: Placements; record: CaseRecord; today: CalendarDate },
  turnedBack: ReadonlySet<string> = new Set(),
): Captured {
  const { passage, fields } = unplaced(trimEdges(words), draft.placements);
  const found = findParticulars(passage, draft.record, draft.today);
  const keyed = found.map((one) => ({ ...one, key: one.path ?? one.words }));
  const wanted = keyed.filter(({ key }) => !turnedBack.has(key));
  const particulars = keyed.filter((one, index) => keyed.findIndex(({ key }) => key === one.key) === index);
  return {
    ...particularsToFields(passage, wanted, fields),
    particulars: particulars.map(({ key, words: said, label }) => ({ key, words: said, label })),
  };
}
