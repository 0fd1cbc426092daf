import { newEntry } from '#core/entry';
import type { Captured } from './capture';
import { allToFields, personalInEntry } from './personalInEntry';
import type { Personal, PersonalKind } from './personalFinder';

/** Words of captured wording that look like somebody's details, said once however often they stand there. */
export interface CapturedPersonal {
  words: string;
  kind: PersonalKind;
}

/**
 * Captured words with what still looks like somebody's details told, and turned into fields where `isWanted` says so: the same
 * words into the same field. `find` as of `personalFinder`.
 */
export function personalInCaptured(
  captured: Captured,
  find: (text: string) => Personal[],
  isWanted: (one: CapturedPersonal) => boolean,
): Captured & { personal: CapturedPersonal[] } {
  const content = { ...newEntry('', 'en', captured.passage), fields: captured.fields };
  const found = personalInEntry(content, find);
  const personal = [...new Map(found.map(({ words, kind }) => [words, { words, kind }])).values()];
  return { ...captured, ...allToFields(captured.passage, found.filter(isWanted), captured.fields), personal };
}
