import { useState } from 'react';
import type { BatchRow } from '#contracts';
import { faultsOfRow, type BatchSetup } from '#core/batch';
import { Button, TextField } from '../../ui';

interface CellProps {
  head: string;
  cell: string;
  error: string | undefined;
  /** Whether it was saved. */
  put: (cell: string) => Promise<boolean>;
}

/** A cell of a row, corrected in place: taken on Enter, and on leaving; Escape leaves it as it was. */
function Cell({ head, cell, error, put }: CellProps) {
  const [words, setWords] = useState<string | null>(null);
  const settle = () => {
    if (words === null || words === cell) return setWords(null);
    // Until it is saved it stays: refused, it would be gone, and what was typed on meanwhile too.
    void put(words).then((isSaved) => isSaved && setWords((now) => (now === words ? null : now)));
  };
  return (
    <TextField
      label={head}
      value={words ?? cell}
      maxLength={5000}
      {...(error && { error })}
      onChange={({ target }) => setWords(target.value)}
      onBlur={settle}
      onKeyDown={(event) => {
        if (event.key === 'Escape') setWords(null);
        if (event.key === 'Enter' && !event.nativeEvent.isComposing) settle();
      }}
    />
  );
}

interface Props {
  setup: BatchSetup;
  row: BatchRow;
  isOpen: boolean;
  change: (cells: string[]) => Promise<boolean>;
  /** Takes the row out of the batch. */
  drop: () => void;
}

/** What a row says, by its columns: corrected by hand where the table was wrong. */
export function RowCells({ setup, row, isOpen, change, drop }: Props) {
  const [isAsked, ask] = useState(false);
  const faults = new Map(faultsOfRow(setup, row.cells).map(({ column, words }) => [column, words]));
  return (
    <details className="slip" open={isOpen || undefined}>
      <summary className="section-head cursor-pointer">Its row in the table</summary>
      <div className="mt-2 grid gap-2">
        {setup.columns.map((column, at) => (
          <Cell
            key={`${row.id} ${column.id}`}
            head={column.head}
            cell={row.cells[at] ?? ''}
            error={faults.get(column.id)}
            put={(cell) =>
              change(setup.columns.map((_, index) => (index === at ? cell : (row.cells[index] ?? ''))))
            }
          />
        ))}
        {isAsked ? (
          <p role="alert" className="flex flex-wrap items-baseline gap-2 text-[14px]">
            Take row {row.position + 1} out for good?
            <Button onClick={drop}>Take it out</Button>
            <Button look="text" autoFocus onClick={() => ask(false)}>
              Keep it
            </Button>
          </p>
        ) : (
          <Button look="text" className="justify-self-start text-[14px]" onClick={() => ask(true)}>
            Take this row out
          </Button>
        )}
      </div>
    </details>
  );
}
