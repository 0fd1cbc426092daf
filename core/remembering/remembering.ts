/**
 * Gives a function of words that remembers its last answers. For what goes through a long text at every key: all its lines but one
 * are as they were. Who asks again gets the same answer, which must not be changed.
 *
 * @param work answers by the words alone
 * @param most how many characters of words it remembers at the least; at the most twice as many
 */
export function remembering<Answer extends NonNullable<unknown>>(
  work: (words: string) => Answer,
  most: number,
): (words: string) => Answer {
  // What was asked for lately, and before that: the older half goes at once, and what of it is asked for again is among the newer.
  let newer = new Map<string, Answer>();
  let older = new Map<string, Answer>();
  let characters = 0;
  return (words) => {
    const known = newer.get(words);
    if (known !== undefined) return known;
    const answer = older.get(words) ?? work(words);
    if (characters > 0 && characters + words.length > most) {
      older = newer;
      newer = new Map();
      characters = 0;
    }
    newer.set(words, answer);
    characters += words.length;
    return answer;
  };
}
