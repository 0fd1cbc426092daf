import { MOST_ROWS_AT_ONCE, type Enquiry } from '#contracts';
import { call, isProblem } from '#client/api';
import { calendarToday } from '#client/clock';
import { emptySetup, type Column } from '#core/batch';
import { KEYS, queryClient } from '../../../api';
import type { LastingIds } from '../../../ui';
import { keepFirst } from '../../batch/keepFirst';

const column = (id: string, head: string, fills: string | null): Column => ({
  ...{ id, head, fills, kind: 'text', monthFirst: false, decimalComma: false },
});

/** What is known of an enquiry, as the row of a table. */
const COLUMNS: readonly { column: Column; cell: (one: Enquiry) => string }[] = [
  { column: column('c1', 'Name', 'customer'), cell: ({ fromName }) => fromName },
  { column: column('c2', 'Email', 'email'), cell: ({ fromAddress }) => fromAddress },
  { column: column('c3', 'Topic', 'topic'), cell: ({ title }) => title },
  { column: column('c4', 'Language', 'language'), cell: ({ language }) => language ?? '' },
  { column: column('c5', 'Message', null), cell: ({ excerpt }) => excerpt.slice(0, 2000) },
];

/** What came of making a batch: its case, and the enquiries that somebody else answers meanwhile. */
interface MadeBatch {
  case: string;
  left: Enquiry[];
}

/** Takes an enquiry for oneself; false where somebody else has it. */
async function taken({ case: of, isMine, takenBy }: Enquiry): Promise<boolean> {
  if (isMine && takenBy !== null) return true;
  try {
    await call('changeEnquiry', { params: { case: of }, body: { do: 'take' } });
    return true;
  } catch (error) {
    if (isProblem(error, 'not-allowed') || isProblem(error, 'moved-on')) return false;
    throw error;
  }
}

/**
 * Makes a batch of enquiries, a letter to each in its thread: all are taken, so that nobody else answers them. Those that somebody else has
 * are left out, and told. Made again with the same ids it goes on with the batch that was begun.
 */
export async function batchOfEnquiries(
  enquiries: readonly Enquiry[],
  title: string,
  ids: Pick<LastingIds, 'of'>,
): Promise<MadeBatch> {
  const [own, left]: [Enquiry[], Enquiry[]] = [[], []];
  for (const one of enquiries) ((await taken(one)) ? own : left).push(one);
  const id = ids.of(enquiries.map((one) => one.case).join());
  const setup = {
    ...emptySetup(calendarToday()),
    columns: COLUMNS.map(({ column: own }) => own),
  };
  const body = { id, kind: 'batch' as const, title, number: null, details: [], given: [] };
  await call('makeCase', { body });
  await keepFirst(id, setup);
  for (let at = 0; at < own.length; at += MOST_ROWS_AT_ONCE) {
    const rows = own.slice(at, at + MOST_ROWS_AT_ONCE).map((one) => ({
      id: ids.of(`${id} ${one.case}`),
      cells: COLUMNS.map(({ cell }) => cell(one)),
      enquiry: one.case,
    }));
    await call('addBatchRows', { params: { case: id }, body: { rows } });
  }
  for (const queryKey of [KEYS.cases, KEYS.queue]) void queryClient.invalidateQueries({ queryKey });
  return { case: id, left };
}
