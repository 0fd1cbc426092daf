import { MOST_RIGHT_WORDS } from '#core/glossary';
import { useSavePreferences } from '../offers';

/** Says of a word that it is right for this member wherever they write; the oldest of too many is forgotten. */
export function useSayRight() {
  const { mutate, error } = useSavePreferences();
  const sayRight = (word: string) =>
    mutate((before) => {
      const known = before.spelling?.right ?? [];
      return {
        ...before,
        spelling: { ...before.spelling, right: [...new Set([...known, word])].slice(-MOST_RIGHT_WORDS) },
      };
    });
  return { sayRight, error };
}
