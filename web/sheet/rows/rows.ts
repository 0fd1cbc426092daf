import Papa from 'papaparse';
import type { Cue } from '#core/cue';

/** One short entry being written: kept on this computer until the server has it. */
export interface Row {
  /** Names it: sent again, since the answer was lost, it is no second entry. */
  key: string;
  title: string;
  cue: string;
  /** Rules of its own that the cue has. */
  rules?: Cue['rules'];
  wording: string;
  /** What became of it. */
  state: 'writing' | 'sending' | 'kept' | 'refused';
  /** Why it was refused, in words; and a free cue, where that was the reason. */
  why?: string;
  proposed?: string;
  /** The entry it has become. */
  entry?: string;
}

export interface Sitting {
  collection: string;
  rows: Row[];
}

const PREFIX = 'elderleaf.rows.';

/** A row with nothing in it. */
export const emptyRow = (): Row => ({
  key: crypto.randomUUID(),
  title: '',
  cue: '',
  wording: '',
  state: 'writing',
});

/** Whether nothing was written in a row. */
export const isEmptyRow = ({ title, cue, wording }: Row) =>
  title.trim() === '' && cue.trim() === '' && wording.trim() === '';

/** More are brought in as a collection, where they can be looked through first. */
const MOST_PASTED = 500;

/**
 * The rows of a table that was copied elsewhere, its columns parted by tabs: title, cue and wording, or title and wording, or wordings
 * alone. Null for what is one cell: that is pasted as it is.
 */
export function rowsPasted(text: string): Row[] | null {
  const whole = text.replace(/\s+$/, '');
  if (!/[\t\n\r]/.test(whole)) return null;
  const { data } = Papa.parse<string[]>(whole, { delimiter: '\t', skipEmptyLines: 'greedy' });
  const rows = data.slice(0, MOST_PASTED).map((cells): Row => {
    const [first = '', second = '', third = ''] = cells.map((cell) => cell.trim());
    if (cells.length === 1) return { ...emptyRow(), wording: first };
    return {
      ...emptyRow(),
      title: first.slice(0, 200),
      ...(cells.length === 2 ? { wording: second } : { cue: second.slice(0, 40), wording: third }),
    };
  });
  return rows.length > 0 ? rows : null;
}

/** What a member was writing row by row on this computer; what was on its way may not have arrived, and is to be sent again. */
export function readSitting(member: string): Sitting | null {
  try {
    const kept = JSON.parse(localStorage.getItem(PREFIX + member) ?? 'null') as Sitting | null;
    const again = (row: Row): Row => (row.state === 'sending' ? { ...row, state: 'writing' } : row);
    return kept && { ...kept, rows: kept.rows.map(again) };
  } catch {
    return null;
  }
}

/** Keeps rows on this computer, those that the server has left out. */
export function keepSitting(member: string, { collection, rows }: Sitting): void {
  const left = rows.filter((row) => row.state !== 'kept' && !isEmptyRow(row));
  try {
    if (left.length === 0) localStorage.removeItem(PREFIX + member);
    else localStorage.setItem(PREFIX + member, JSON.stringify({ collection, rows: left }));
  } catch {
    // No room on this computer: the page itself still holds them.
  }
}

/** The cue of a row, as its entry has it. */
export const cuesOf = ({ cue, rules }: Row): Cue[] =>
  cue.trim() === '' ? [] : [{ text: cue.trim(), ...(rules && { rules }) }];
