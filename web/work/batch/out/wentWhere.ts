import { csvOf } from '#core/exchange';
import type { Letter } from '../letterMaker';
import { STATE_WORDS, WAY_WORDS } from '../stateWords';

/** How and when a letter went, in two cells. */
function wayOf({ row: { gone, goneAt, sending } }: Letter): [string, string] {
  if (sending) return ['mail', sending.state === 'gone' ? sending.at : ''];
  return gone && goneAt ? [WAY_WORDS[gone], goneAt] : ['', ''];
}

/**
 * What went where, as a table (CSV, RFC 4180): row, who, address, entry, state, way, when, and why not. A cell that a spreadsheet would take
 * for a formula is written as words.
 */
export const wentWhere = (letters: readonly Letter[]): string =>
  csvOf([
    ['Row', 'Name', 'To', 'Letter', 'By hand', 'State', 'Way', 'When', 'Remark'],
    ...letters.map((letter) => [
      String(letter.row.position + 1),
      letter.name,
      letter.head?.to ?? '',
      letter.title ?? '',
      letter.row.byHand ? 'yes' : '',
      STATE_WORDS[letter.state],
      ...wayOf(letter),
      letter.row.sending?.reason ?? letter.faults.map(({ words }) => words).join(', '),
    ]),
  ]);
