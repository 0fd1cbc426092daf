import { useState } from 'react';

/** Words that are typed over what is kept. */
interface Typed {
  words: string;
  /** Left: they are on their way, or were refused. */
  isLeft: boolean;
}

/**
 * A line that is kept when it is left. What is typed is shown until it is kept: refused, it stays, and can be left once more. Gives what is
 * shown, and what to do as it is typed and left.
 *
 * @param keep is told the words, where they are others than those that are kept.
 * @param isKeeping whether they are on their way: what is seen at once may be refused yet.
 * @param tidied gives the words as they can be kept.
 */
export function useTypedUntilKept(
  kept: string,
  keep: (words: string) => void,
  isKeeping = false,
  tidied = (words: string) => words,
) {
  const [typed, setTyped] = useState<Typed | null>(null);
  // Spaces at its ends are kept by nobody.
  const isKept = typed?.isLeft === true && typed.words.trim() === kept.trim() && !isKeeping;
  // From then on it follows what is kept, whoever changes it.
  if (isKept) setTyped(null);
  return {
    words: typed && !isKept ? typed.words : kept,
    type: (words: string) => setTyped({ words, isLeft: false }),
    leave: () => {
      if (typed === null) return;
      const words = tidied(typed.words);
      if (words === kept) setTyped(null);
      else {
        setTyped({ words, isLeft: true });
        keep(words);
      }
    },
    /** Gives up what was typed for what is kept. */
    giveUp: () => setTyped(null),
  };
}
