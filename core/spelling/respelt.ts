import type { EntryContent } from '#core/entry';
import { inCaseOf } from '#core/language';
import { editTexts } from '#core/terms';
import { wordsOfEntry } from './entryWords';

/** The entry with words spelt otherwise wherever they stand, each in the capitals that it has there. `put` is by words in small letters. */
export const respelt = (content: EntryContent, put: ReadonlyMap<string, string>): EntryContent =>
  editTexts(
    content,
    wordsOfEntry(content).flatMap((place) => {
      const instead = put.get(place.word.toLowerCase());
      return instead === undefined ? [] : [{ ...place, put: inCaseOf(place.word, instead) }];
    }),
  );
