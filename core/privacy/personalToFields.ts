import type { EntryContent } from '#core/entry';
import { allToFields, personalInEntry, type PersonalPlace } from './personalInEntry';
import type { Personal } from './personalFinder';

/**
 * An entry with all of somebody's details in its wordings turned into fields that `isWanted` says, the same words into the same field; and
 * what was found, wanted or not. `find` as of `personalFinder`.
 */
export function personalToFields(
  content: EntryContent,
  find: (text: string) => Personal[],
  isWanted: (place: PersonalPlace) => boolean,
): { content: EntryContent; found: PersonalPlace[] } {
  const found = personalInEntry(content, find);
  const wanted = found.filter(isWanted);
  if (wanted.length === 0) return { content, found };
  let { fields } = content;
  const wordings = content.wordings.map((wording) => ({
    ...wording,
    parts: wording.parts.map((part) => {
      const own = wanted.filter((one) => one.wording === wording.id && one.part === part.id);
      if (own.length === 0) return part;
      const turned = allToFields(part.passage, own, fields);
      fields = turned.fields;
      return { ...part, passage: turned.passage };
    }),
  }));
  return { content: { ...content, wordings, fields }, found };
}
