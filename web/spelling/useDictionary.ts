import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { pathFor } from '#contracts';
import { dictionaryFor } from '#core/spelling';
import type { Dictionary } from '#client/spelling';
import { dictionariesQuery } from '../api';
import rules from '../generated/en-GB.aff?url';
import words from '../generated/en-GB.dic?url';

/** The language of the dictionary that comes along. */
const SHIPPED = 'en-GB';

/**
 * The dictionary for words of a language (BCP 47): one of the team's before the one that comes along; null where there is none, and
 * until that is known.
 */
export function useDictionary(language: string): Dictionary | null {
  const ofTeam = useQuery(dictionariesQuery).data;
  return useMemo(() => {
    if (!ofTeam) return null;
    const own = dictionaryFor(language, ofTeam);
    if (own !== null) return { language: own, place: { both: pathFor('dictionary', { language: own }) } };
    const isShipped = dictionaryFor(language, [SHIPPED]) !== null;
    return isShipped ? { language: SHIPPED, place: { rules, words } } : null;
  }, [ofTeam, language]);
}
