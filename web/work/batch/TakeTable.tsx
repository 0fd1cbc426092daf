import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { inWords } from '#client/api';
import type { Table } from '#core/batch';
import { tableReader } from '../../documents';
import { Button, FileDrop, Notice } from '../../ui';
import { addTable } from './addTable';
import type { DocumentRows } from './takeDocuments';

const SHOWN = 5;

/** The first rows of a table that was read, so that one sees whether it was read rightly. */
const FirstRows = ({ table: { heads, rows } }: { table: Table }) => (
  <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="The first rows">
    <table className="text-[13.5px]">
      <thead>
        <tr>
          {heads.map((head) => (
            <th key={head} scope="col" className="border-b border-rule px-2 py-1 text-left font-semibold">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.slice(0, SHOWN).map((cells, at) => (
          <tr key={at}>
            {cells.map((cell, index) => (
              <td key={heads[index]} className="max-w-48 truncate border-b border-hair px-2 py-1">
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  </div>
);

interface SourceProps {
  pasted: string;
  setPasted: (text: string) => void;
  isReading: boolean;
  read: (from: readonly File[] | string) => void;
}

/** Where a table comes from: a file, or what was copied elsewhere. */
const Source = ({ pasted, setPasted, isReading, read }: SourceProps) => (
  <>
    <FileDrop
      label="A table"
      hint="Drop a table: a workbook (xlsx), or text with commas, semicolons or tabs (CSV, TSV). Each row becomes a letter. Or drop Word documents (docx): a letter goes into each."
      accept=".csv,.tsv,.txt,.xlsx,.docx,.zip"
      isMany
      isReading={isReading}
      take={read}
    />
    <label className="grid gap-1">
      <span className="eyebrow">Or paste one</span>
      <textarea
        value={pasted}
        rows={4}
        spellCheck={false}
        onChange={({ target }) => setPasted(target.value)}
        className="input font-cue text-[13px]"
      />
    </label>
    {pasted.trim() !== '' && (
      <Button className="justify-self-start" onClick={() => read(pasted)} disabled={isReading}>
        Read what was pasted
      </Button>
    )}
  </>
);

interface ReadProps {
  table: Table;
  /** How many rows the server has by now. */
  count: number;
  isTaking: boolean;
  take: () => void;
  leave: () => void;
}

/** What was read, before it is taken in. */
const ReadTable = ({ table, count, isTaking, take, leave }: ReadProps) => (
  <>
    <p>
      {table.rows.length === 1 ? 'One row' : `${table.rows.length.toLocaleString()} rows`} in{' '}
      {table.heads.length === 1 ? 'one column' : `${table.heads.length} columns`}.
    </p>
    {table.remarks.length > 0 && (
      <ul className="list-disc pl-5 text-[14px]">
        {table.remarks.map((remark) => (
          <li key={remark}>{remark}</li>
        ))}
      </ul>
    )}
    <FirstRows table={table} />
    <p className="flex gap-2">
      <Button look="main" autoFocus onClick={take} disabled={isTaking}>
        {isTaking ? `Taking in … ${count.toLocaleString()}` : 'Take it in'}
      </Button>
      <Button onClick={leave} disabled={isTaking}>
        Not this one
      </Button>
    </p>
  </>
);

/** What came of taking a table in. */
const TakenIn = ({ added, known }: { added: number; known: number }) => (
  <Notice title={added === 1 ? 'One row was taken in.' : `${added.toLocaleString()} rows were taken in.`}>
    {known > 0 &&
      (known === 1
        ? 'One was here already, and stayed as it was.'
        : `${known.toLocaleString()} were here already, and stayed as they were.`)}
  </Notice>
);

interface Props {
  of: string;
  /** Whether the batch has rows already: a table adds to them. */
  hasRows: boolean;
  taken: () => void;
}

/** A table is brought in: dropped, chosen or pasted; what was read of it is shown before it is taken. */
export function TakeTable({ of, hasRows, taken }: Props) {
  const [table, setTable] = useState<DocumentRows | null>(null);
  const [pasted, setPasted] = useState('');
  const [count, setCount] = useState(0);
  const read = useMutation({
    mutationFn: async (from: readonly File[] | string): Promise<DocumentRows> => {
      const { tableOfFile, tableOfText } = await tableReader();
      if (typeof from === 'string') return { table: tableOfText(from), files: [] };
      const { documentRows } = await import('./takeDocuments');
      const documents = await documentRows(from);
      if (documents) return documents;
      const [file] = from;
      return { table: await tableOfFile(new Uint8Array(await file!.arrayBuffer()), file!.name), files: [] };
    },
    onSuccess: setTable,
  });
  const take = useMutation({
    mutationFn: ({ table: which, files }: DocumentRows) => addTable(of, which, setCount, files),
    onSuccess: () => {
      setTable(null);
      setPasted('');
      taken();
    },
  });
  const failed = read.error ?? take.error;
  return (
    <section aria-label="Bring in a table" className="grid gap-4 px-9 py-5 max-[899px]:px-4">
      <h2 className="section-head">{hasRows ? 'Add rows from another table' : 'Bring in a table'}</h2>
      {!table && <Source {...{ pasted, setPasted }} isReading={read.isPending} read={read.mutate} />}
      {table && (
        <ReadTable
          {...{ count }}
          table={table.table}
          isTaking={take.isPending}
          take={() => take.mutate(table)}
          leave={() => setTable(null)}
        />
      )}
      {take.data && <TakenIn {...take.data} />}
      {failed && <Notice tone="warning" title={inWords(failed)} />}
    </section>
  );
}
