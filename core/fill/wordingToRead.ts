import { mainPassage, type EntryContent } from '#core/entry';
import type { Passage } from '#core/passage';
import { includedIn, withIncludes, type FindEntry } from './includes';

/** A wording for a list: its passage, and the names of the fields that its blanks stand for. */
export interface WordingToRead {
  passage: Passage;
  nameOf: (field: string) => string;
}

/**
 * An entry's first wording as a list shows it, with the words of the entries it holds in their place. Where one of them is not to be
 * had here, each stands as another entry still, so that nothing is missing unsaid.
 */
export function wordingToRead(content: EntryContent, find: FindEntry): WordingToRead {
  const [first] = content.wordings;
  const areAllHere = first !== undefined && includedIn(first).every((id) => find(id) !== undefined);
  const whole = areAllHere ? withIncludes(content, first, find) : content;
  const names = new Map(whole.fields.map(({ id, name }) => [id, name]));
  return { passage: mainPassage(whole), nameOf: (field) => names.get(field) ?? field };
}
