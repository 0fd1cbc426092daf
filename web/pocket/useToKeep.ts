import { useEffect, useState } from 'react';
import { z } from 'zod';
import { emptyDraft } from '#core/draft';
import { plainPassage } from '#core/passage';
import { keep } from '#client/kept';
import { KEPT } from './keptText';

/** Under this name the companion leaves words of another page in the pocket's tab, and by this it tells of them. */
const LEFT = 'companion.to-keep';
const TOLD = 'elderleaf-to-keep';

const WordsSchema = z.string().trim().min(1).max(100_000);

/** Takes words that the companion left as the text of the pocket. False where it left none. */
function takeLeft(): boolean {
  const left = sessionStorage.getItem(LEFT);
  if (left === null) return false;
  sessionStorage.removeItem(LEFT);
  const words = WordsSchema.safeParse(left);
  if (words.success) keep(KEPT, { ...emptyDraft(), ...plainPassage(words.data) }, 'tab');
  return words.success;
}

/**
 * Words that were selected on a page of somebody else's, to be saved as an entry: they become the text of the pocket. `count` is that of
 * the texts begun here. Gives whether the text at hand is of such words.
 */
export function useToKeep(count: number, setCount: (count: number) => void): boolean {
  const [toKeep, setToKeep] = useState(() => (takeLeft() ? count : -1));
  useEffect(() => {
    const hear = () => {
      if (!takeLeft()) return;
      setToKeep(count + 1);
      setCount(count + 1);
    };
    window.addEventListener(TOLD, hear);
    return () => window.removeEventListener(TOLD, hear);
  }, [count, setCount]);
  return toKeep === count;
}
