import { MOST_ROWS_AT_ONCE } from '#contracts';
import { call } from '#client/api';
import { calendarToday } from '#client/clock';
import { columnsOf, emptySetup, type BatchSetup, type Column, type Table } from '#core/batch';
import { KEYS, queryClient } from '../../api';
import { keepDocument } from './takeDocuments';

/** A table as it fits a batch: its rows in the order of the batch's columns, and those that are not there yet. */
interface Fitted {
  columns: Column[];
  rows: string[][];
  /** For each of them which row of the table it is. */
  from: number[];
  /** How many rows of the table are in the batch already, cell by cell. */
  known: number;
}

/** A table in the columns of a batch: those of the same heads are one, the others come behind. */
export function fittedTable(setup: BatchSetup, before: readonly (readonly string[])[], table: Table): Fitted {
  const language = navigator.language || 'en-GB';
  const fresh = columnsOf(table, { fields: [], today: calendarToday(), language });
  const taken = new Set(setup.columns.map(({ fills }) => fills));
  const isHere = (head: string) => (one: Column) => one.head.toLocaleLowerCase() === head.toLocaleLowerCase();
  const added = fresh
    .filter(({ head }) => !setup.columns.some(isHere(head)))
    .map((column, at) => ({
      ...column,
      id: `c${setup.columns.length + at + 1}`,
      fills: taken.has(column.fills) ? null : column.fills,
    }));
  const columns = [...setup.columns, ...added];
  const at = columns.map(({ head }) => fresh.findIndex(isHere(head)));
  const whole = (cells: readonly string[]) => JSON.stringify(columns.map((_, index) => cells[index] ?? ''));
  const there = new Set(before.map(whole));
  const all = table.rows.map((cells) => at.map((index) => (index < 0 ? '' : (cells[index] ?? ''))));
  const from = all.flatMap((cells, index) => (there.has(whole(cells)) ? [] : index));
  return { columns, rows: from.map((index) => all[index]!), from, known: all.length - from.length };
}

/**
 * Adds a table to the batch of a case, in parts; `tell` hears how many rows are there. Gives how many were there before.
 * @param files where its rows are documents: the file of each, which is kept with the case
 */
export async function addTable(
  of: string,
  table: Table,
  tell: (rows: number) => void,
  files: readonly File[] = [],
): Promise<{ added: number; known: number }> {
  // As it is now, and kept for no page: what is shown afterwards is asked for then.
  const batch = await call('batch', { params: { case: of } });
  const setup = batch.setup ?? emptySetup(calendarToday());
  const { columns, rows, from, known } = fittedTable(
    setup,
    batch.rows.map(({ cells }) => cells),
    table,
  );
  const named = columns.find(({ fills }) => fills === 'customer') ?? columns[0];
  const fileNames = batch.setup ? setup.fileNames : `{n} {${named?.head ?? ''}}`;
  await call('keepBatch', {
    params: { case: of },
    version: batch.version,
    body: { setup: { ...setup, columns, fileNames } },
  });
  for (let at = 0; at < rows.length; at += MOST_ROWS_AT_ONCE) {
    const part = rows.slice(at, at + MOST_ROWS_AT_ONCE);
    const kept: { id: string; cells: string[]; file: string | null }[] = [];
    for (const [index, cells] of part.entries()) {
      const document = files[from[at + index]!];
      const file = document ? await keepDocument(of, document) : null;
      kept.push({ id: crypto.randomUUID(), cells, file });
      if (document) tell(at + index + 1);
    }
    await call('addBatchRows', { params: { case: of }, body: { rows: kept } });
    tell(at + part.length);
  }
  await queryClient.invalidateQueries({ queryKey: KEYS.batch(of) });
  return { added: rows.length, known };
}
