import { queryOptions, useQuery } from '@tanstack/react-query';
import { spellingsFor, type Dictionary } from '#client/spelling';

/** What was likely meant by a word, the likeliest first. */
export const spellingsQuery = (dictionary: Dictionary | null, word: string) =>
  queryOptions({
    queryKey: ['spellings', dictionary?.language, word],
    queryFn: () => spellingsFor(dictionary!, word),
    enabled: dictionary !== null,
    staleTime: Infinity,
  });

/** What was likely meant by a word, the likeliest first; undefined while it is looked up. */
export const useSpellings = (dictionary: Dictionary | null, word: string): readonly string[] | undefined =>
  useQuery(spellingsQuery(dictionary, word)).data;
