import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Collection } from '#contracts';
import { proposeCue, type Cue } from '#core/cue';
import { newEntry, proposeTitle } from '#core/entry';
import { plainPassage } from '#core/passage';
import { call, inWords, isProblem } from '#client/api';
import { takeKept, useAtHand, useBank, useBankIndex } from '../../api';
import { WrittenClashes } from '../../cues';
import { AwaitedScreen, Figure, useShell } from '../../shell';
import { Button, Key, Notice, SelectField } from '../../ui';
import { type BankIndex, takenCues } from '#core/bank';
import { emptyRow, isEmptyRow, keepSitting, readSitting, rowsPasted, type Row, type Sitting } from './rows';

const STATES: Record<Row['state'], string> = {
  writing: '',
  sending: 'on its way …',
  kept: 'saved',
  refused: 'not saved',
};

/** Rows being written, each sent as it is left by Enter; one empty row always stands last. */
function useSitting(index: BankIndex) {
  const { member } = useShell();
  const keepable = index.bank.collections.filter(({ right }) => right === 'keep');
  const [sitting, setSitting] = useState<Sitting>(() => {
    const kept = readSitting(member.id);
    const home = keepable.some(({ id }) => id === kept?.collection)
      ? kept!.collection
      : (keepable[0]?.id ?? '');
    return { collection: home, rows: [...(kept?.rows ?? []), emptyRow()] };
  });
  const { collection, rows } = sitting;
  useEffect(() => keepSitting(member.id, sitting), [member.id, sitting]);
  const put = (key: string, change: Partial<Row>) =>
    setSitting((now) => {
      const next = now.rows.map((row) => (row.key === key ? { ...row, ...change } : row));
      return { ...now, rows: next.every((row) => !isEmptyRow(row)) ? [...next, emptyRow()] : next };
    });
  const home = index.collections.get(collection);
  const send = async (row: Row) => {
    const title = row.title.trim() || proposeTitle(plainPassage(row.wording));
    if (title === '' || row.wording.trim() === '')
      return put(row.key, {
        state: 'refused',
        why: 'It needs a wording, and a title if the wording gives none.',
      });
    put(row.key, { state: 'sending', why: undefined, proposed: undefined, title });
    const content = {
      ...newEntry(title, home?.language ?? 'en-GB', plainPassage(row.wording.trim())),
      cues: cuesOf(row),
    };
    try {
      const body = { collection, content, reason: 'Written row by row', key: row.key };
      const entry = await call('makeEntry', { body });
      takeKept(entry);
      put(row.key, { state: 'kept', entry: entry.id });
    } catch (error) {
      const proposed = isProblem(error, 'cue-taken') ? error.problem.proposed : undefined;
      put(row.key, { state: 'refused', why: inWords(error), proposed });
    }
  };
  return {
    keepable,
    home,
    collection,
    rows,
    put,
    send,
    /** Rows after those that have something in them. */
    add: (more: readonly Row[]) =>
      setSitting((now) => ({
        ...now,
        rows: [...now.rows.filter((row) => !isEmptyRow(row)), ...more, emptyRow()],
      })),
    setCollection: (to: string) => setSitting((now) => ({ ...now, collection: to })),
    drop: (key: string) => setSitting((now) => ({ ...now, rows: now.rows.filter((row) => row.key !== key) })),
  };
}

/** The cue of a row, as its entry has it. */
const cuesOf = ({ cue, rules }: Row): Cue[] =>
  cue.trim() === '' ? [] : [{ text: cue.trim(), ...(rules && { rules }) }];

interface LineProps {
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

function Line({ index, home, row, number, leadIn, put, done, propose, drop }: LineProps) {
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
      {row.state !== 'writing' && (
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
      )}
    </li>
  );
}

function Rows({ index }: { index: BankIndex }) {
  const { keepable, home, collection, rows, put, send, add, setCollection, drop } = useSitting(index);
  const pasted = (event: React.ClipboardEvent) => {
    const isTitle = (event.target as HTMLElement).matches('[data-row]');
    const more = isTitle ? rowsPasted(event.clipboardData.getData('text/plain')) : null;
    if (!more) return;
    event.preventDefault();
    add(more);
    requestAnimationFrame(() => goTo(more[0]?.key));
  };
  useAtHand(home ? [home.id] : []);
  const list = useRef<HTMLOListElement>(null);
  const leadIn = home?.leadIn ?? '';
  const goTo = (key: string | undefined) =>
    list.current?.querySelector<HTMLInputElement>(`[data-row="${key}"]`)?.focus();
  const done = (row: Row, at: number) => {
    if (isEmptyRow(row)) return;
    if (row.state !== 'kept' && row.state !== 'sending') void send(row);
    goTo(rows[at + 1]?.key);
  };
  const proposeFor = ({ title }: Row) =>
    proposeCue(
      title,
      [...takenCues(index, leadIn), ...rows.map(({ cue }) => cue).filter(Boolean)],
      home?.cuesBy,
      (word) => index.ordinary.has(word),
    );
  const kept = rows.filter(({ state }) => state === 'kept').length;
  const waiting = rows.filter((row) => row.state !== 'kept' && !isEmptyRow(row)).length;
  return (
    <Figure
      marginLabel="About row by row"
      margin={
        <div className="grid gap-4 pt-6">
          <SelectField
            label="Collection"
            value={collection}
            onChange={({ target }) => setCollection(target.value)}
          >
            {keepable.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </SelectField>
          <p className="text-[14px] text-soft">
            Title, <Key>Tab</Key>, cue, <Key>Tab</Key>, wording, <Key>Enter</Key>saves the row and begins the
            next. A free cue is proposed from the title. <Key>Shift</Key> <Key>Enter</Key> begins a new line.
            A table copied elsewhere is pasted as rows.
          </p>
          <p role="status" className="text-[14px]">
            {kept > 0 && `${kept} saved. `}
            {waiting > 0 && `${waiting} not sent yet; on this computer.`}
          </p>
          {waiting > 1 && (
            <Button
              className="justify-self-start"
              onClick={() =>
                void rows
                  .filter((row) => row.state !== 'kept' && !isEmptyRow(row))
                  .forEach((row) => void send(row))
              }
            >
              Send all
            </Button>
          )}
        </div>
      }
    >
      <h1 className="px-9 pt-6 pb-2 font-book text-[26px] leading-tight max-[899px]:px-4">Row by row</h1>
      {keepable.length === 0 && <Notice title="You keep no collection." />}
      <div
        aria-hidden
        className="eyebrow grid grid-cols-[minmax(0,11rem)_6.5rem_minmax(0,1fr)] gap-x-4 border-b border-hair px-9 max-[899px]:hidden"
      >
        <span>Title</span>
        <span>Cue</span>
        <span>Wording</span>
      </div>
      <ol ref={list} aria-label="Rows" onPaste={pasted}>
        {rows.map((row, at) => (
          <Line
            key={row.key}
            index={index}
            home={home}
            row={row}
            number={at + 1}
            leadIn={leadIn}
            put={(change) => put(row.key, change)}
            done={() => done(row, at)}
            propose={() => proposeFor(row)}
            drop={() => drop(row.key)}
          />
        ))}
      </ol>
    </Figure>
  );
}

/** Many short entries in one sitting: a row each, none of which is ever lost. */
export function RowsPage() {
  const bank = useBank();
  const index = useBankIndex();
  if (index) return <Rows index={index} />;
  return <AwaitedScreen title="Row by row" what="the bank" query={bank} />;
}
