import { newEntry } from '#core/entry';
import type { Captured } from './capture';
import { personalInEntry, personalToField } from './personalInEntry';
import type { Personal, PersonalKind } from './personalFinder';

/** Words of captured wording that look like somebody's details, said once however often they stand there. */
export interface CapturedPersonal {
  words: string;
  kind: PersonalKind;
}

/** Nobody has so many; a field that would be found again must not go on for ever. */
const MOST = 200;

/**
 * Captured words with what still looks like somebody's details told, and turned into fields where `isWanted` says so. `find` as
 * of `personalFinder`.
 */
export function personalInCaptured(
  captured: Captured,
  find: (text: string) => Personal[],
  isWanted: (one: CapturedPersonal) => boolean,
): Captured & { personal: CapturedPersonal[] } {
  let content = { ...newEntry('', 'en', captured.passage), fields: captured.fields };
  const places = personalInEntry(content, find);
  const personal = places
    .filter(({ words }, at) => places.findIndex((one) => one.words === words) === at)
    .map(({ words, kind }) => ({ words, kind }));
  for (let made = 0; made < MOST; made += 1) {
    const next = personalInEntry(content, find).find(isWanted);
    if (!next) break;
    // The record's own names are known by now: whoever else is named is somebody else.
    content = personalToField(content, next, () => true);
  }
  const { passage } = content.wordings[0]!.parts[0]!;
  return { ...captured, passage, fields: content.fields, personal };
}
