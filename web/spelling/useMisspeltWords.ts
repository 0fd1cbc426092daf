import { useEffect, useMemo } from 'react';
import type { EntryContent } from '#core/entry';
import { wordsOfEntry, type EntryWord } from '#core/spelling';
import type { Dictionary } from '#client/spelling';
import { useDictionary } from './useDictionary';
import { useKnown, useSpellChecker } from './useSpellChecker';

/** A word of an entry that nobody knows, with all its places, whatever its capitals there. */
export interface MisspeltWord {
  word: string;
  places: readonly EntryWord[];
}

/** The words of an entry in one of its languages (BCP 47) that no dictionary and no glossary knows, in the order of their first places. */
export function useMisspeltWords(
  content: EntryContent,
  language: string,
): { misspelt: readonly MisspeltWord[]; dictionary: Dictionary | null } {
  const dictionary = useDictionary(language);
  const checker = useSpellChecker(dictionary);
  const known = useKnown(checker);
  const words = useMemo(
    () => wordsOfEntry(content).filter((word) => word.language === language),
    [content, language],
  );
  useEffect(() => void checker?.look(words.map(({ word }) => word)), [checker, words]);
  const misspelt = useMemo(() => {
    const wrong = new Map<string, EntryWord[]>();
    for (const place of words) {
      if (!checker || known < 0 || !checker.isWrong(place.word)) continue;
      const small = place.word.toLowerCase();
      wrong.set(small, [...(wrong.get(small) ?? []), place]);
    }
    // A sentence may begin with it: it is one word with or without that capital.
    return [...wrong].map(([small, places]) => ({
      word: (places.find(({ word }) => word === small) ?? places[0]!).word,
      places,
    }));
  }, [words, checker, known]);
  return { misspelt, dictionary };
}
