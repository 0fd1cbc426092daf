import { useQueries } from '@tanstack/react-query';
import type { EntryContent } from '#core/entry';
import { useMisspeltWords } from './useMisspeltWords';
import { spellingsQuery } from './useSpellings';

/** Of each word of an entry that nobody knows the spelling that was most likely meant; those that are like nothing are left out. */
export function useRespellings(content: EntryContent, language: string): { word: string; put: string }[] {
  const { misspelt, dictionary } = useMisspeltWords(content, language);
  const answers = useQueries({ queries: misspelt.map(({ word }) => spellingsQuery(dictionary, word)) });
  return misspelt.flatMap(({ word }, at) => {
    const put = answers[at]?.data?.[0];
    return put === undefined ? [] : [{ word, put }];
  });
}
