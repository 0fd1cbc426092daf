import type { EntryContent } from '#core/entry';
import { searchWords } from '#core/finder';
import { lineText, linesOf } from '#core/passage';

/** Adds the words of an entry's wordings that are written small: a name that is among them may be the word as well. */
export function addOrdinaryWords({ wordings }: EntryContent, into: Set<string>): void {
  for (const { parts } of wordings)
    for (const { passage } of parts)
      for (const line of linesOf(passage))
        for (const word of searchWords(lineText(line))) if (word === word.toLowerCase()) into.add(word);
}
