import { useState } from 'react';
import { Link } from 'react-router';
import type { Collection } from '#contracts';
import type { BankIndex } from '#core/bank';
import { WrittenClashes } from '../../cues';
import { Button } from '../../ui';
import { cuesOf, type Row } from './rows';

const STATES: Record<Row['state'], string> = {
  writing: '',
  sending: 'on its way …',
  kept: 'saved',
  refused: 'not saved',
};

interface Props {
  index: BankIndex;
  home: Collection | undefined;
  row: Row;
  number: number;
  leadIn: string;
  put: (change: Partial<Row>) => void;
  /** Sends it and goes to the next. */
  done: () => void;
  propose: () => string;
  drop: () => void;
}

/** What became of a row that was sent: where it is, or why it is not saved and what can be done. */
function RowState({ row, leadIn, put, drop }: Pick<Props, 'row' | 'leadIn' | 'put' | 'drop'>) {
  return (
    <p className={`text-[13px] ${row.state === 'refused' ? 'text-rust' : 'text-soft'}`} role="status">
      {row.entry ? (
        <Link to={`/bank/${row.entry}`} className="inline-block min-h-6 text-leaf underline">
          {STATES.kept}
        </Link>
      ) : (
        STATES[row.state]
      )}
      {row.why && `: ${row.why}`}{' '}
      {row.proposed && (
        <Button look="text" onClick={() => put({ cue: row.proposed, state: 'writing', why: undefined })}>
          Use {leadIn + row.proposed}
        </Button>
      )}{' '}
      {row.state === 'refused' && (
        <Button look="text" onClick={drop}>
          Remove this row
        </Button>
      )}
    </p>
  );
}

/** A row as it is written: title, cue, wording; and what became of it. */
export function RowLine({ index, home, row, number, leadIn, put, done, propose, drop }: Props) {
  // What a cue clashes with is worked out for the row at hand alone.
  const [atHand, setAtHand] = useState(false);
  const settled = row.state === 'kept' || row.state === 'sending';
  const field = (name: 'title' | 'cue', label: string, length: number) => (
    <input
      aria-label={`${label} of row ${number}`}
      data-row={row.key}
      className="input"
      value={row[name]}
      maxLength={length}
      readOnly={settled}
      spellCheck={name === 'title'}
      autoComplete="off"
      onChange={({ target }) => put({ [name]: target.value, state: 'writing' })}
    />
  );
  return (
    <li
      className="border-b border-hair px-9 py-2 max-[899px]:px-4"
      onFocus={() => setAtHand(true)}
      onBlur={({ currentTarget, relatedTarget }) => setAtHand(currentTarget.contains(relatedTarget))}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || event.shiftKey || event.nativeEvent.isComposing) return;
        if ((event.target as HTMLElement).tagName === 'BUTTON') return;
        event.preventDefault();
        done();
      }}
    >
      <div className="grid grid-cols-[minmax(0,11rem)_6.5rem_minmax(0,1fr)] gap-x-4 max-[899px]:grid-cols-1">
        {field('title', 'Title', 200)}
        <div className="flex items-baseline">
          {leadIn && <span className="cue">{leadIn}</span>}
          {field('cue', 'Cue', 40)}
        </div>
        <textarea
          aria-label={`Wording of row ${number}`}
          rows={1}
          className="input resize-none field-sizing-content font-book"
          value={row.wording}
          readOnly={settled}
          onFocus={() => row.cue === '' && row.title.trim() !== '' && put({ cue: propose() })}
          onChange={({ target }) => put({ wording: target.value, state: 'writing' })}
        />
      </div>
      {atHand && !settled && row.cue !== '' && (
        <WrittenClashes
          index={index}
          written={{ entry: '', title: row.title, cues: cuesOf(row), collection: home }}
          change={([cue]) => put({ cue: cue?.text ?? '', rules: cue?.rules, state: 'writing' })}
        />
      )}
      {row.state !== 'writing' && <RowState row={row} leadIn={leadIn} put={put} drop={drop} />}
    </li>
  );
}
