import type { EntryContent } from '#core/entry';
import { remembering } from '#core/remembering';
import { entryTexts, type TextAt } from '#core/terms';
import { checkedWords, type CheckedWord } from './checkedWords';

/** A word of an entry that a dictionary is asked about, in which language, and where it stands. */
export interface EntryWord extends CheckedWord {
  at: TextAt;
  /** BCP 47; of a title, a purpose and a field's words, that of the first wording. */
  language: string;
}

/** Of a long entry all lines but one are as they were when it is looked at anew, as at every key. */
const wordsOfText = remembering(checkedWords, 1_000_000);

/** All words of an entry that a dictionary is asked about: of its title, purpose, wordings, and what its fields put down. */
export function wordsOfEntry(content: EntryContent): EntryWord[] {
  const spoken = new Map(content.wordings.map(({ id, language }) => [id, language]));
  const first = content.wordings[0]!.language;
  return entryTexts(content).flatMap(({ at, text }) => {
    const language = at.in === 'wording' ? spoken.get(at.wording)! : first;
    return wordsOfText(text).map((word) => ({ ...word, at, language }));
  });
}
