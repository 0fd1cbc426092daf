import type { BatchRow, Case } from '#contracts';
import { COLUMN_KINDS, faultsOfRow, type BatchSetup, type Column, type ColumnKind } from '#core/batch';
import { DETAILS } from '#core/record';
import { Figure } from '../../shell';
import { Button, Notice } from '../../ui';
import { useRowChanges } from './useBatch';
import { BatchHead } from './BatchHead';
import { TakeTable } from './TakeTable';
import { inWords } from '#client/api';
import { useState } from 'react';
import { useSearchParams } from 'react-router';

const KIND_WORDS: Record<ColumnKind, string> = { text: 'words', number: 'numbers', date: 'days' };

interface ColumnProps {
  column: Column;
  /** The first cells that are not empty. */
  cells: readonly string[];
  fields: readonly string[];
  change: (column: Column) => void;
}

/** How the cells of a column are read. */
function ReadAs({ column, change }: Pick<ColumnProps, 'column' | 'change'>) {
  const { head, kind, monthFirst, decimalComma } = column;
  return (
    <>
      <select
        aria-label={`${head} is read as`}
        className="live-word"
        value={kind}
        onChange={({ target }) => change({ ...column, kind: target.value as ColumnKind })}
      >
        {COLUMN_KINDS.map((each) => (
          <option key={each} value={each}>
            {KIND_WORDS[each]}
          </option>
        ))}
      </select>{' '}
      {kind === 'date' && (
        <select
          aria-label={`Order in ${head}`}
          className="live-word"
          value={monthFirst ? 'month' : 'day'}
          onChange={({ target }) => change({ ...column, monthFirst: target.value === 'month' })}
        >
          <option value="day">day before month</option>
          <option value="month">month before day</option>
        </select>
      )}
      {kind === 'number' && (
        <select
          aria-label={`Decimals in ${head}`}
          className="live-word"
          value={decimalComma ? 'comma' : 'point'}
          onChange={({ target }) => change({ ...column, decimalComma: target.value === 'comma' })}
        >
          <option value="point">decimal point</option>
          <option value="comma">decimal comma</option>
        </select>
      )}
    </>
  );
}

/** What the cells of a column fill. */
function Fills({ column, fields, change }: Pick<ColumnProps, 'column' | 'fields' | 'change'>) {
  const { head, fills } = column;
  const isUsual = fills === null || [...DETAILS.map(({ path }) => path as string), ...fields].includes(fills);
  return (
    <select
      aria-label={`${head} fills`}
      className="live-word"
      value={fills ?? ''}
      onChange={({ target }) => change({ ...column, fills: target.value === '' ? null : target.value })}
    >
      <option value="">what is called “{head}”</option>
      {!isUsual && <option value={fills}>{fills}</option>}
      {fields.length > 0 && (
        <optgroup label="Fields of these letters">
          {fields.map((field) => (
            <option key={field} value={field}>
              {field}
            </option>
          ))}
        </optgroup>
      )}
      <optgroup label="Details">
        {DETAILS.map(({ path, label }) => (
          <option key={path} value={path}>
            {label}
          </option>
        ))}
      </optgroup>
    </select>
  );
}

/** A column: what it holds, how that is read, and what it fills. */
function ColumnLine({ column, cells, fields, change }: ColumnProps) {
  const { head } = column;
  return (
    <tr className="align-baseline">
      <th scope="row" className="border-b border-hair py-2 pr-3 text-left font-semibold break-words">
        {head}
      </th>
      <td className="max-w-56 truncate border-b border-hair py-2 pr-3 text-[13.5px] text-soft">
        {cells.join(' · ')}
      </td>
      <td className="border-b border-hair py-2 pr-3">
        <ReadAs {...{ column, change }} />
      </td>
      <td className="border-b border-hair py-2">
        <Fills {...{ column, fields, change }} />
      </td>
    </tr>
  );
}

interface Props {
  one: Case;
  setup: BatchSetup | null;
  rows: readonly BatchRow[];
  /** The names of fields that the letters ask for. */
  fields: readonly string[];
  keep: (setup: BatchSetup) => void;
}

const SAMPLES = 3;
const MOST_PROBLEMS = 100;

/** What is wrong in rows: each by its number, with what can be done about it. */
function Problems({ setup, rows }: { setup: BatchSetup; rows: readonly BatchRow[] }) {
  const [, go] = useSearchParams();
  const found = rows.flatMap((row) => {
    const faults = faultsOfRow(setup, row.cells);
    return faults.length > 0 ? [{ row, words: faults.map(({ words }) => words).join(', ') }] : [];
  });
  if (rows.length === 0) return null;
  return (
    <section aria-label="Problems" className="slip">
      <h2 className="section-head">
        {found.length === 0 ? 'No problems' : `Problems in ${found.length.toLocaleString()} rows`}
      </h2>
      {found.length === 0 ? (
        <p className="text-[14px] text-soft">All {rows.length.toLocaleString()} rows can be read.</p>
      ) : (
        <ul className="mt-1 grid text-[14px]">
          {found.slice(0, MOST_PROBLEMS).map(({ row, words }) => (
            <li key={row.id} className="border-b border-hair py-1">
              <button
                type="button"
                className="min-h-6 text-left hover:text-elder"
                onClick={() => go({ show: 'letters', row: row.id })}
              >
                <span className="underline">Row {row.position + 1}</span>: {words}
              </button>
            </li>
          ))}
        </ul>
      )}
      {found.length > MOST_PROBLEMS && (
        <p className="text-[13px] text-soft">The first {MOST_PROBLEMS} are shown.</p>
      )}
      {found.length > 0 && <p className="mt-2 text-[13px] text-soft">The other rows go on without them.</p>}
    </section>
  );
}

/** Takes all rows out whose letters have not gone, as when another table was meant. It asks first. */
function TakeOut({ of, rows }: { of: string; rows: readonly BatchRow[] }) {
  const [isAsked, ask] = useState(false);
  const changes = useRowChanges(of);
  const open = rows.filter(({ gone, sending }) => gone === null && sending === null);
  if (open.length === 0) return null;
  const words = open.length === 1 ? 'the one row' : `all ${open.length.toLocaleString()} rows`;
  return (
    <div className="px-9 pb-2 text-[14px] max-[899px]:px-4">
      {isAsked ? (
        <p role="alert" className="flex flex-wrap items-baseline gap-3">
          Take {words} out for good, with what was decided and written about{' '}
          {open.length === 1 ? 'it' : 'them'}? Letters that have gone stay.
          <Button
            disabled={changes.isPending}
            onClick={() =>
              changes.mutate(
                open.map(({ id }) => ({ row: id, drop: true })),
                { onSettled: () => ask(false) },
              )
            }
          >
            Take out {words}
          </Button>
          <Button look="text" autoFocus onClick={() => ask(false)}>
            Keep them
          </Button>
        </p>
      ) : (
        <Button look="text" onClick={() => ask(true)}>
          Take {words} out
        </Button>
      )}
      {changes.error && <Notice tone="warning" title={inWords(changes.error)} />}
    </div>
  );
}

/** The table of a batch: how its columns are read and what they fill; and what is wrong in rows. */
export function RowsView({ one, setup, rows, fields, keep }: Props) {
  const [, go] = useSearchParams();
  const columns = setup?.columns ?? [];
  const samples = (at: number) =>
    rows
      .slice(0, 200)
      .map(({ cells }) => cells[at] ?? '')
      .filter((cell) => cell !== '')
      .slice(0, SAMPLES);
  return (
    <Figure
      marginLabel="Problems in the table"
      margin={<div className="pt-6">{setup && <Problems setup={setup} rows={rows} />}</div>}
    >
      <BatchHead one={one} view="rows" />
      {setup && columns.length > 0 && (
        <section aria-label="Columns" className="px-9 py-4 max-[899px]:px-4">
          <h2 className="section-head">
            {rows.length.toLocaleString()} {rows.length === 1 ? 'row' : 'rows'}, {columns.length}{' '}
            {columns.length === 1 ? 'column' : 'columns'}
          </h2>
          <div className="overflow-x-auto">
            <table className="w-full text-[14.5px]">
              <thead>
                <tr className="eyebrow text-left">
                  <th scope="col">Column</th>
                  <th scope="col">Holds</th>
                  <th scope="col">Read as</th>
                  <th scope="col">Fills</th>
                </tr>
              </thead>
              <tbody>
                {columns.map((column, at) => (
                  <ColumnLine
                    key={column.id}
                    {...{ column, fields }}
                    cells={samples(at)}
                    change={(changed) =>
                      keep({ ...setup, columns: columns.map((each) => (each === column ? changed : each)) })
                    }
                  />
                ))}
              </tbody>
            </table>
          </div>
        </section>
      )}
      <TakeOut of={one.id} rows={rows} />
      <TakeTable of={one.id} hasRows={rows.length > 0} taken={() => go({ show: 'decision' })} />
    </Figure>
  );
}
