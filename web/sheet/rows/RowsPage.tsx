import { useEffect, useRef, useState } from 'react';
import { proposeCue } from '#core/cue';
import { newEntry, proposeTitle } from '#core/entry';
import { plainPassage } from '#core/passage';
import { call, inWords, isProblem } from '#client/api';
import { takeKept, useAtHand, useBank, useBankIndex } from '../../api';
import { AwaitedScreen, Figure, useShell } from '../../shell';
import { Button, Key, Notice, SelectField } from '../../ui';
import { type BankIndex, takenCues } from '#core/bank';
import { RowLine } from './RowLine';
import {
  cuesOf,
  emptyRow,
  isEmptyRow,
  keepSitting,
  readSitting,
  rowsPasted,
  type Row,
  type Sitting,
} from './rows';

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

/** Where rows go, how they are written, and how many are on their way. */
function BesideRows({ keepable, collection, rows, send, setCollection }: ReturnType<typeof useSitting>) {
  const kept = rows.filter(({ state }) => state === 'kept').length;
  const waiting = rows.filter((row) => row.state !== 'kept' && !isEmptyRow(row)).length;
  return (
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
        next. A free cue is proposed from the title. <Key>Shift</Key> <Key>Enter</Key> begins a new line. A
        table copied elsewhere is pasted as rows.
      </p>
      <p role="status" className="text-[14px]">
        {kept > 0 && `${kept} saved. `}
        {waiting > 0 && `${waiting} not sent yet; on this computer.`}
      </p>
      {waiting > 1 && (
        <Button
          className="justify-self-start"
          onClick={() =>
            rows.filter((row) => row.state !== 'kept' && !isEmptyRow(row)).forEach((row) => void send(row))
          }
        >
          Send all
        </Button>
      )}
    </div>
  );
}

function Rows({ index }: { index: BankIndex }) {
  const sitting = useSitting(index);
  const { keepable, home, rows, put, send, add, drop } = sitting;
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
  return (
    <Figure marginLabel="About row by row" margin={<BesideRows {...sitting} />}>
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
          <RowLine
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
