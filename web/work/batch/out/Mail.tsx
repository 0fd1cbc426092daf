import { useMutation } from '@tanstack/react-query';
import type { LetterFault } from '#contracts';
import { call, inWords } from '#client/api';
import type { BatchSetup } from '#core/batch';
import { KEYS, queryClient } from '../../../api';
import { Button, Notice, useTypedUntilKept } from '../../../ui';
import type { Letter } from '../letterMaker';
import { STATE_WORDS } from '../stateWords';
import { letterCount } from './letterCount';
import { useMailing } from './useMailing';

interface Props {
  of: string;
  setup: BatchSetup;
  letters: readonly Letter[];
  checked: readonly Letter[];
  byServer: boolean;
  keep: (setup: BatchSetup) => void;
  /** Whether something is on its way to be kept. */
  isKeeping: boolean;
}

const isPace = (words: string): boolean =>
  /^\d{1,3}$/.test(words.trim()) && Number(words) >= 1 && Number(words) <= 600;

/** How many go in a minute: kept on leaving, where it is a number that can be. */
function Pace({ setup, keep, isKeeping }: Pick<Props, 'setup' | 'keep' | 'isKeeping'>) {
  const line = useTypedUntilKept(
    String(setup.pace),
    (words) => keep({ ...setup, pace: Number(words) }),
    isKeeping,
  );
  return (
    <label className="inline-flex items-baseline gap-2 text-[14px]">
      <input
        type="number"
        min={1}
        max={600}
        aria-label="Letters a minute"
        className="live-word w-16"
        value={line.words}
        onChange={({ target }) => line.type(target.value)}
        onBlur={isPace(line.words) ? line.leave : line.giveUp}
      />
      a minute
    </label>
  );
}

interface StayedProps {
  faults: readonly LetterFault[];
  letters: readonly Letter[];
  /** Sends those that are doubtful, as they are; null where none is. */
  sendSo: { count: number; run: () => void } | null;
}

const MOST_NAMED = 5;

/** Letters by what keeps them: many are kept by the same. */
function byReason(faults: readonly LetterFault[]): [string, string[]][] {
  const found = new Map<string, string[]>();
  for (const { row, words } of faults) {
    const said = words.join(' ');
    found.set(said, [...(found.get(said) ?? []), row]);
  }
  return [...found];
}

/** Letters that did not go, and why. */
const Stayed = ({ faults, letters, sendSo }: StayedProps) => (
  <div role="alert" className="mt-3 border-l-2 border-rust pl-3 text-[14px]">
    <p className="font-semibold text-rust">
      {faults.length === 1 ? 'One letter' : letterCount(faults.length)} did not go:
    </p>
    <ul className="list-disc pl-5">
      {byReason(faults).map(([words, rows]) => (
        <li key={words}>
          {rows
            .slice(0, MOST_NAMED)
            .map((row) => letters.find((each) => each.row.id === row)?.name)
            .join(', ')}
          {rows.length > MOST_NAMED && ` and ${(rows.length - MOST_NAMED).toLocaleString()} more`}: {words}
        </li>
      ))}
    </ul>
    {sendSo && (
      <Button className="mt-2" onClick={sendSo.run}>
        Send {sendSo.count === 1 ? 'it' : `these ${sendSo.count.toLocaleString()}`} so
      </Button>
    )}
  </div>
);

/** Letters that were refused, or of which nobody knows: a person decides about each. */
function ToDecide({ of, letters }: { of: string; letters: readonly Letter[] }) {
  const change = useMutation({
    mutationFn: ({ id, what }: { id: string; what: 'sent-again' | 'said-gone' | 'taken-back' }) =>
      call('changeSending', { params: { sending: id }, body: { do: what } }),
    onSettled: () => queryClient.invalidateQueries({ queryKey: KEYS.batch(of) }),
  });
  if (letters.length === 0) return null;
  return (
    <>
      <ul aria-label="To decide about" className="mt-3 grid gap-2 text-[14px]">
        {letters.map(({ row, name, state }) => (
          <li key={row.id} className="flex flex-wrap items-baseline gap-x-3">
            <span className="text-rust">
              {name}: {STATE_WORDS[state]}.
            </span>
            <span className="text-soft">{row.sending?.reason}</span>
            <Button look="text" onClick={() => change.mutate({ id: row.sending!.id, what: 'sent-again' })}>
              Send it again
            </Button>
            {state === 'perhaps-gone' && (
              <Button look="text" onClick={() => change.mutate({ id: row.sending!.id, what: 'said-gone' })}>
                It has gone
              </Button>
            )}
            <Button look="text" onClick={() => change.mutate({ id: row.sending!.id, what: 'taken-back' })}>
              Do not send it
            </Button>
          </li>
        ))}
      </ul>
      {change.error && <Notice tone="warning" title={inWords(change.error)} />}
    </>
  );
}

type Mailing = ReturnType<typeof useMailing>;

/** What is under way, and what came of stopping it. */
function UnderWay({ waiting, stop }: { waiting: number; stop: Mailing['stop'] }) {
  if (waiting > 0)
    return (
      <p role="status" className="mt-2 text-[14px]">
        {waiting === 1 ? 'One letter is' : `${letterCount(waiting)} are`} on the way. They go on with this
        page closed.
      </p>
    );
  const stopped = stop.isPending ? 0 : (stop.data?.stopped ?? 0);
  return stopped === 0 ? null : (
    <Notice title={`Stopped: ${letterCount(stopped)} did not go.`}>They can be sent any time.</Notice>
  );
}

/** Letters go out by mail: one behind the other, each once; stopped and gone on with. */
export function Mail({ of, setup, letters, checked, byServer, keep, isKeeping }: Props) {
  const { send, stop, done, faults } = useMailing(of);
  const waiting = letters.filter(({ state }) => state === 'on-its-way').length;
  const doubtful = checked.filter(({ row }) => faults.some((fault) => fault.row === row.id && fault.isDoubt));
  const canStop = waiting > 0 || send.isPending;
  return (
    <section aria-label="By mail" className="border-b border-hair px-9 py-5 max-[899px]:px-4">
      <h2 className="section-head">By mail</h2>
      <p className="mt-1 text-[14px] text-soft">
        {byServer
          ? 'Each goes to the address of its row, by your mail server.'
          : 'No mail server is set: each is put in the outbox, from where it can be downloaded.'}
      </p>
      <p className="mt-3 flex flex-wrap items-baseline gap-4">
        <Button
          look="main"
          disabled={checked.length === 0 || send.isPending}
          onClick={() => send.mutate({ letters: checked, sure: false })}
        >
          {send.isPending ? `Passing on … ${done.toLocaleString()}` : `Send ${letterCount(checked.length)}`}
        </Button>
        <Pace {...{ setup, keep, isKeeping }} />
        {canStop && (
          <Button onClick={() => stop.mutate()} disabled={stop.isPending}>
            Stop
          </Button>
        )}
      </p>
      {checked.length === 0 && !canStop && (
        <p className="mt-2 text-[13.5px] text-soft">Letters go once they are checked.</p>
      )}
      <UnderWay {...{ waiting, stop }} />
      {faults.length > 0 && (
        <Stayed
          {...{ faults, letters }}
          sendSo={
            doubtful.length === 0
              ? null
              : { count: doubtful.length, run: () => send.mutate({ letters: doubtful, sure: true }) }
          }
        />
      )}
      <ToDecide
        of={of}
        letters={letters.filter(({ state }) => state === 'refused' || state === 'perhaps-gone')}
      />
      {send.error && <Notice tone="warning" title={inWords(send.error)} />}
      {stop.error && <Notice tone="warning" title={inWords(stop.error)} />}
    </section>
  );
}
