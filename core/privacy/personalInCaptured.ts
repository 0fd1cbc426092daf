import { newEntry } from '#core/entry';
import type { Passage } from '#core/passage';
import { capture, type Captured } from './capture';
import { allToFields, personalInEntry } from './personalInEntry';
import type { Personal, PersonalKind } from './personalFinder';

/** Words of captured wording that look like somebody's details, said once however often they stand there. */
export interface CapturedPersonal {
  words: string;
  kind: PersonalKind;
}

/** Captured words, with what still looks like somebody's details. */
export type CapturedForBank = Captured & { personal: CapturedPersonal[] };

/**
 * Captured words with what still looks like somebody's details told, and turned into fields where `isWanted` says so: the same
 * words into the same field. `find` as of `personalFinder`.
 */
export function personalInCaptured(
  captured: Captured,
  find: (text: string) => Personal[],
  isWanted: (one: CapturedPersonal) => boolean,
): CapturedForBank {
  const content = { ...newEntry('', 'en', captured.passage), fields: captured.fields };
  const found = personalInEntry(content, find);
  const personal = [...new Map(found.map(({ words, kind }) => [words, { words, kind }])).values()];
  return { ...captured, ...allToFields(captured.passage, found.filter(isWanted), captured.fields), personal };
}

/** What stays as it is unless it is wanted as a field: he or she may well be meant of any. */
export const STAYING: ReadonlySet<PersonalKind> = new Set(['pronoun']);

/**
 * Words of a draft as they would enter the bank: what the case's record knows becomes fields, and so does what else looks
 * like somebody's details, as far as `find` (of `personalFinder`) is known yet. Left as they are: what `turnedBack` holds by
 * key or words, and the kinds that are `staying` unless `turnedBack` holds them.
 */
export function captureForBank(
  words: Passage,
  draft: Parameters<typeof capture>[1],
  find: ((text: string) => Personal[]) | null,
  turnedBack: ReadonlySet<string> = new Set(),
  staying: ReadonlySet<PersonalKind> = STAYING,
): CapturedForBank {
  const own = capture(words, draft, turnedBack);
  if (!find) return { ...own, personal: [] };
  // What the record knows is asked about as such.
  const asked = new Set(own.particulars.map((one) => one.words));
  const others = (text: string) => find(text).filter(({ from, to }) => !asked.has(text.slice(from, to)));
  return personalInCaptured(own, others, (one) => turnedBack.has(one.words) === staying.has(one.kind));
}
