import { useMutation, useQuery } from '@tanstack/react-query';
import { MOST_ROWS_AT_ONCE, type Batch, type BatchRow, type RowChange } from '#contracts';
import { call } from '#client/api';
import { keepAnew } from '#client/atHand';
import type { BatchSetup } from '#core/batch';
import { askOnItsWayAgain, KEYS, queryClient, useMergedSetup } from '../../api';

/** A batch with its rows, as the server has it. */
export const useBatch = (of: string) =>
  useQuery({ queryKey: KEYS.batch(of), queryFn: () => call('batch', { params: { case: of } }) });

/** Shows rows as the server has them now, here and on this computer, without asking for the table. `gone`: those that were taken out. */
export function putRows(
  of: string,
  changed: readonly BatchRow[],
  gone: ReadonlySet<string> = new Set(),
): void {
  const byId = new Map(changed.map((row) => [row.id, row]));
  queryClient.setQueryData<Batch>(
    KEYS.batch(of),
    (batch) =>
      batch && {
        ...batch,
        rows: batch.rows.flatMap((row) => (gone.has(row.id) ? [] : (byId.get(row.id) ?? row))),
      },
  );
  keepAnew(`/api/cases/${encodeURIComponent(of)}/batch`, () => queryClient.getQueryData(KEYS.batch(of)));
}

/** What is seen of a change before the server has it. */
const foreseen = (row: BatchRow, { cells, entry, isHeld, checked, byHand }: RowChange): BatchRow => ({
  ...row,
  ...(cells && { cells }),
  ...(entry !== undefined && { entry }),
  ...(isHeld !== undefined && { isHeld }),
  ...(checked !== undefined && { checked }),
  ...(byHand !== undefined && { byHand }),
  // As the server counts it: what is written next is written on this.
  version: row.version + (cells || entry !== undefined || byHand !== undefined ? 1 : 0),
});

/** Changes rows, seen at once; where the server refuses them they are as they were. Many go in parts. */
export function useRowChanges(of: string) {
  return useMutation({
    mutationFn: async (changes: readonly RowChange[]) => {
      for (let at = 0; at < changes.length; at += MOST_ROWS_AT_ONCE) {
        const part = changes.slice(at, at + MOST_ROWS_AT_ONCE);
        const { rows } = await call('changeBatchRows', { params: { case: of }, body: { changes: part } });
        putRows(of, rows, new Set(part.filter(({ drop }) => drop).map(({ row }) => row)));
        askOnItsWayAgain(KEYS.batch(of));
      }
    },
    onMutate: async (changes) => {
      const byRow = new Map(changes.map((change) => [change.row, change]));
      // An answer on its way is of before: shown now, what was checked would be to check again for a moment.
      const wasAsked = queryClient.isFetching({ queryKey: KEYS.batch(of) }) > 0;
      if (wasAsked) await queryClient.cancelQueries({ queryKey: KEYS.batch(of) });
      queryClient.setQueryData<Batch>(
        KEYS.batch(of),
        (batch) =>
          batch && {
            ...batch,
            rows: batch.rows.map((row) => {
              const change = byRow.get(row.id);
              return change ? foreseen(row, change) : row;
            }),
          },
      );
      return { wasAsked };
    },
    onError: () => queryClient.invalidateQueries({ queryKey: KEYS.batch(of) }),
    // What was to be heard then is heard now.
    onSuccess: (_none, _changes, { wasAsked }) => {
      if (wasAsked) void queryClient.invalidateQueries({ queryKey: KEYS.batch(of) });
    },
  });
}

/** Changes one row. `save` says whether it was saved: where it was refused, what was typed stays where it was. */
export function useRowChange(of: string) {
  const changes = useRowChanges(of);
  const save = (what: RowChange): Promise<boolean> =>
    changes.mutateAsync([what]).then(
      () => true,
      () => false,
    );
  return { changes, save, change: (what: RowChange) => void save(what) };
}

/** Keeps how letters are made, seen at once. */
export const useSetupChange = (of: string) =>
  useMergedSetup<BatchSetup>(KEYS.batch(of), {
    read: () => call('batch', { params: { case: of } }),
    send: (setup, version) => call('keepBatch', { params: { case: of }, version, body: { setup } }),
  });
