import { shownByPlacement } from '#core/savings';
import { countUse } from '../../../offers';
import type { Letter } from '../letterMaker';

/** What letters that go out saved: what their readers see of the bank, less the key by which each was checked. Of those changed by hand nothing is counted. */
export function countLetters(letters: readonly Letter[]): void {
  for (const { document, entry, row } of letters) {
    if (!document || entry === null || row.byHand) continue;
    for (const shown of shownByPlacement(document).values())
      countUse('batch', { source: 'entry', list: entry, term: '', times: 1, shown, pressed: 1 });
  }
}
