import { call } from '#client/api';
import { KEYS, queryClient } from '../../api';
import { isWorkbook, tableReader } from '../../documents';
import { endsIn, titleFrom, type Arrival } from '../arrival';

/** One line alone is no table that letters are made of: it is kept with a case. */
const hasRows = (text: string | null) => text !== null && /[\r\n]/.test(text.trim());

/** A table that is dropped becomes a batch: a letter for each of its rows. */
export const tableArrival: Arrival = {
  isOf: async (dropped) =>
    (hasRows(dropped.text) && endsIn(dropped, ['.csv', '.tsv', '.tab'])) ||
    (endsIn(dropped, ['.xlsx', '.xlsm']) && (await isWorkbook(dropped.bytes, dropped.file.name))),
  take: async ([one]) => {
    const { file, bytes } = one!;
    const [{ tableOfFile }, { addTable }] = await Promise.all([tableReader(), import('./addTable')]);
    // Read before a case is made: what is no table makes none.
    const table = await tableOfFile(bytes, file.name);
    const id = crypto.randomUUID();
    const body = { id, kind: 'batch' as const, title: titleFrom(file), number: null, details: [], given: [] };
    const made = await call('makeCase', { body });
    await addTable(made.id, table, () => undefined);
    void queryClient.invalidateQueries({ queryKey: KEYS.cases });
    return { cases: [{ case: made, news: null }], remarks: table.remarks };
  },
};
