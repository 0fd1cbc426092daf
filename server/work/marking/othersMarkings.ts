import type { OthersMarkings } from '#contracts';
import { markingsOf } from '#core/draft';
import { finishedPassage } from '#core/fill';
import { plainText } from '#core/passage';
import { othersDrafts } from '../../cases';
import type { Queries } from '../../db';

/** What others whom a case is given to have marked on its pages: of each the leaf with markings that was saved last, by name. */
export async function othersMarkings(db: Queries, member: string, of: string): Promise<OthersMarkings[]> {
  const theirs = await othersDrafts(db, member, of, (document) => markingsOf(document).length > 0);
  return theirs.map(({ document, ...draft }) => ({
    ...draft,
    // Finished for reading: numbers and answers are words then.
    markings: markingsOf(finishedPassage(document)).map(({ passage, ...marking }) => ({
      ...marking,
      words: plainText(passage, '…').trim(),
    })),
  }));
}
