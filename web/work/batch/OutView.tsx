import { useMutation } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Batch, Case } from '#contracts';
import { call, inWords } from '#client/api';
import { calendarToday } from '#client/clock';
import { fileName, offerFile, textFile } from '#client/files';
import { addressLabel, LETTER_STATES, type BatchSetup } from '#core/batch';
import { KEYS, queryClient } from '../../api';
import { Figure } from '../../shell';
import { Button, Notice, SelectField, TextField } from '../../ui';
import { BatchHead } from './BatchHead';
import { countLetters } from './countLetters';
import type { Letter } from './letterMaker';
import { PrintedLetters } from './PrintedLetters';
import { STATE_LOOKS, STATE_WORDS, WAY_WORDS } from './stateWords';
import { useRowChanges } from './useBatch';
import type { LettersMade } from './useLetters';
import { useMailing } from './useMailing';
import { useWriting, WAY_OF, type Form } from './useWriting';
import { wentWhere } from './wentWhere';

const letterCount = (count: number) => (count === 1 ? 'one letter' : `${count.toLocaleString()} letters`);

interface PartProps {
  one: Case;
  setup: BatchSetup;
  checked: readonly Letter[];
  keep: (setup: BatchSetup) => void;
}

/** A number that is written and kept when it is right. */
function Pace({ setup, keep }: Pick<PartProps, 'setup' | 'keep'>) {
  const [words, setWords] = useState<string | null>(null);
  const settle = () => {
    const pace = Math.round(Number(words));
    if (words !== null && pace >= 1 && pace <= 600 && pace !== setup.pace) keep({ ...setup, pace });
    setWords(null);
  };
  return (
    <label className="inline-flex items-baseline gap-2 text-[14px]">
      <input
        type="number"
        min={1}
        max={600}
        aria-label="Letters a minute"
        className="live-word w-16"
        value={words ?? setup.pace}
        onChange={({ target }) => setWords(target.value)}
        onBlur={settle}
      />
      a minute
    </label>
  );
}

/** Letters go out by mail: one behind the other, each once; stopped and gone on with. */
function Mail({
  one,
  setup,
  checked,
  keep,
  letters,
  byServer,
}: PartProps & { letters: readonly Letter[]; byServer: boolean }) {
  const { send, stop, done, faults } = useMailing(one.id);
  const waiting = letters.filter(({ state }) => state === 'on-its-way');
  const doubtful = checked.filter(({ row }) => faults.some((fault) => fault.row === row.id && fault.isDoubt));
  const change = useMutation({
    mutationFn: ({ id, what }: { id: string; what: 'sent-again' | 'said-gone' | 'taken-back' }) =>
      call('changeSending', { params: { sending: id }, body: { do: what } }),
    onSettled: () => queryClient.invalidateQueries({ queryKey: KEYS.batch(one.id) }),
  });
  const troubled = letters.filter(({ state }) => state === 'refused' || state === 'perhaps-gone');
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
          {send.isPending ? `Handing over … ${done.toLocaleString()}` : `Send ${letterCount(checked.length)}`}
        </Button>
        <Pace {...{ setup, keep }} />
        {(waiting.length > 0 || send.isPending) && (
          <Button onClick={() => stop.mutate()} disabled={stop.isPending}>
            Stop
          </Button>
        )}
      </p>
      {checked.length === 0 && (
        <p className="mt-2 text-[13.5px] text-soft">Letters go once they are checked.</p>
      )}
      {waiting.length > 0 && (
        <p role="status" className="mt-2 text-[14px]">
          {letterCount(waiting.length)} on their way. They go on with this page closed.
        </p>
      )}
      {stop.data && !stop.isPending && waiting.length === 0 && stop.data.stopped > 0 && (
        <Notice title={`Stopped: ${letterCount(stop.data.stopped)} did not go.`}>
          They can be sent any time.
        </Notice>
      )}
      {faults.length > 0 && (
        <div role="alert" className="mt-3 border-l-2 border-rust pl-3 text-[14px]">
          <p className="font-semibold text-rust">{letterCount(faults.length)} did not go:</p>
          <ul className="list-disc pl-5">
            {faults.slice(0, 50).map(({ row, words }) => (
              <li key={row}>
                {letters.find((each) => each.row.id === row)?.name}: {words.join(' ')}
              </li>
            ))}
          </ul>
          {doubtful.length > 0 && (
            <Button className="mt-2" onClick={() => send.mutate({ letters: doubtful, sure: true })}>
              Send {doubtful.length === 1 ? 'it' : `these ${doubtful.length.toLocaleString()}`} so
            </Button>
          )}
        </div>
      )}
      {troubled.length > 0 && (
        <ul aria-label="To decide about" className="mt-3 grid gap-2 text-[14px]">
          {troubled.map(({ row, name, state }) => (
            <li key={row.id}>
              <span className="text-rust">
                {name}: {STATE_WORDS[state]}.
              </span>{' '}
              <span className="text-soft">{row.sending?.reason}</span>{' '}
              <Button look="text" onClick={() => change.mutate({ id: row.sending!.id, what: 'sent-again' })}>
                Send again
              </Button>{' '}
              {state === 'perhaps-gone' && (
                <Button look="text" onClick={() => change.mutate({ id: row.sending!.id, what: 'said-gone' })}>
                  It has gone
                </Button>
              )}{' '}
              <Button look="text" onClick={() => change.mutate({ id: row.sending!.id, what: 'taken-back' })}>
                Do not send it
              </Button>
            </li>
          ))}
        </ul>
      )}
      {[send.error, stop.error, change.error].map(
        (error, at) => error && <Notice key={at} tone="warning" title={inWords(error)} />,
      )}
    </section>
  );
}

const FORMS: readonly [Form, string][] = [
  ['docx', 'one Word document, a page for each'],
  ['docx-each', 'a Word document for each (zip)'],
  ['pdf', 'one PDF, a page for each'],
  ['pdf-each', 'a PDF for each (zip)'],
  ['html-each', 'a web page for each (zip)'],
  ['text-each', 'plain text for each (zip)'],
  ['eml-each', 'a message file for each (zip of eml)'],
  ['labels', 'address labels (PDF, 21 on a page)'],
];

/** Letters go out as files, or on paper. */
function Files({ one, setup, checked, keep }: PartProps) {
  const [form, setForm] = useState<Form>('docx');
  const [pattern, setPattern] = useState<string | null>(null);
  const [isPrinting, setPrinting] = useState(false);
  const [printed, setPrinted] = useState<readonly Letter[]>([]);
  const { write, done, stop, error } = useWriting(one.id, one.title, setup);
  const changes = useRowChanges(one.id);
  const endPrinting = useCallback(() => {
    setPrinting(false);
    setPrinted(checked);
  }, [checked]);
  const markGone = (letters: readonly Letter[], way: NonNullable<(typeof WAY_OF)[Form]>) => {
    countLetters(letters);
    changes.mutate(
      letters.map(({ row, document }) => ({ row: row.id, gone: { way, document: document! } })),
      {
        onSuccess: () => {
          setPrinted([]);
          write.reset();
        },
      },
    );
  };
  const made = write.data;
  const way = made && WAY_OF[made.form];
  const labels = checked.filter(({ row }) => addressLabel(setup, row.cells).length > 1).length;
  const count = form === 'labels' ? labels : checked.length;
  return (
    <section aria-label="As files and on paper" className="border-b border-hair px-9 py-5 max-[899px]:px-4">
      <h2 className="section-head">As files, and on paper</h2>
      <div className="mt-2 grid max-w-xl gap-3">
        <SelectField label="As" value={form} onChange={({ target }) => setForm(target.value as Form)}>
          {FORMS.map(([each, words]) => (
            <option key={each} value={each}>
              {words}
            </option>
          ))}
        </SelectField>
        {form.endsWith('each') && (
          <TextField
            label="Files are called"
            hint={`{n} is the number of the row; columns between braces, such as {${setup.columns[0]?.head ?? 'Name'}}.`}
            value={pattern ?? setup.fileNames}
            maxLength={200}
            onChange={({ target }) => setPattern(target.value)}
            onBlur={() => {
              if (pattern !== null && pattern !== setup.fileNames) keep({ ...setup, fileNames: pattern });
              setPattern(null);
            }}
          />
        )}
        <p className="flex flex-wrap items-baseline gap-3">
          <Button
            disabled={count === 0 || write.isPending}
            onClick={() => write.mutate({ form, letters: checked })}
          >
            {write.isPending
              ? `Writing … ${done.toLocaleString()} of ${count.toLocaleString()}`
              : form === 'labels'
                ? `Save ${count.toLocaleString()} ${count === 1 ? 'label' : 'labels'}`
                : `Save ${letterCount(count)}`}
          </Button>
          {write.isPending && <Button onClick={stop}>Stop</Button>}
          <Button disabled={checked.length === 0 || isPrinting} onClick={() => setPrinting(true)}>
            Print {letterCount(checked.length)}
          </Button>
        </p>
        {form === 'labels' && labels < checked.length && (
          <p className="text-[13.5px] text-soft">
            Labels are made of columns such as Name, Address, Town and Postcode;{' '}
            {letterCount(checked.length - labels)} {checked.length - labels === 1 ? 'has' : 'have'} no
            address.
          </p>
        )}
      </div>
      {isPrinting && <PrintedLetters letters={checked} done={endPrinting} />}
      {made && (
        <Notice
          title={`${made.letters.length === 1 ? 'One letter was' : `${made.letters.length.toLocaleString()} letters were`} saved.`}
        >
          {made.remarks.slice(0, 20).map((remark) => (
            <p key={remark} className="text-rust">
              {remark}
            </p>
          ))}
          {way && made.letters.length > 0 && (
            <Button className="mt-1" disabled={changes.isPending} onClick={() => markGone(made.letters, way)}>
              They go out so: mark them as gone
            </Button>
          )}
        </Notice>
      )}
      {printed.length > 0 && !isPrinting && (
        <Notice title="They were given to the printer.">
          <Button className="mt-1" disabled={changes.isPending} onClick={() => markGone(printed, 'print')}>
            They are on paper: mark them as gone
          </Button>
        </Notice>
      )}
      {error && <Notice tone="warning" title={inWords(error)} />}
      {changes.error && <Notice tone="warning" title={inWords(changes.error)} />}
    </section>
  );
}

/** A batch like this one for other rows, such as those of next month. */
function Again({ one, setup }: Pick<PartProps, 'one' | 'setup'>) {
  const navigate = useNavigate();
  const begin = useMutation({
    mutationFn: async () => {
      const id = crypto.randomUUID();
      const body = { id, kind: 'batch' as const, title: one.title, number: null, details: [], given: [] };
      const made = await call('makeCase', { body });
      await call('keepBatch', {
        params: { case: made.id },
        version: 0,
        body: { setup: { ...setup, day: calendarToday() } },
      });
      return made.id;
    },
    onSuccess: (id) => {
      void queryClient.invalidateQueries({ queryKey: KEYS.cases });
      void navigate(`/cases/${id}?show=rows`);
    },
  });
  return (
    <section aria-label="Once more" className="px-9 py-5 max-[899px]:px-4">
      <h2 className="section-head">Once more, with other rows</h2>
      <p className="mt-1 text-[14px] text-soft">
        A new batch reads its table, decides and writes as this one does. This one stays as it is.
      </p>
      <Button className="mt-2" onClick={() => begin.mutate()} disabled={begin.isPending}>
        New batch like this one
      </Button>
      {begin.error && <Notice tone="warning" title={inWords(begin.error)} />}
    </section>
  );
}

interface Props {
  one: Case;
  batch: Batch;
  setup: BatchSetup;
  made: LettersMade;
  keep: (setup: BatchSetup) => void;
}

/** How the letters of a batch go out; and what went where. */
export function OutView({ one, batch, setup, made, keep }: Props) {
  const { letters, isReady, done } = made;
  const changes = useRowChanges(one.id);
  const checked = letters.filter(({ state }) => state === 'checked');
  const states = LETTER_STATES.map((state) => ({
    state,
    count: letters.filter((each) => each.state === state).length,
  })).filter(({ count }) => count > 0);
  const byFiles = letters.filter(({ row }) => row.gone !== null);
  return (
    <Figure
      marginLabel="What went where"
      margin={
        <div className="pt-6">
          <section aria-label="Where they are" className="slip">
            <h2 className="section-head">Where they are</h2>
            <ul className="mt-1 grid text-[14px]">
              {states.map(({ state, count }) => (
                <li key={state} className="flex justify-between border-b border-hair py-1">
                  <span className={STATE_LOOKS[state]}>{STATE_WORDS[state]}</span>
                  <span>{count.toLocaleString()}</span>
                </li>
              ))}
            </ul>
            {letters.length > 0 && (
              <Button
                className="mt-3"
                onClick={() =>
                  offerFile(
                    textFile(wentWhere(letters), 'text/csv'),
                    fileName(`${one.title}, what went where`, 'csv'),
                  )
                }
              >
                Save as a table (CSV)
              </Button>
            )}
            {byFiles.length > 0 && (
              <div className="mt-3 text-[13.5px] text-soft">
                <p>
                  {letterCount(byFiles.length)} went out as files or on paper:{' '}
                  {[...new Set(byFiles.map(({ row }) => WAY_WORDS[row.gone!]))].join(', ')}.
                </p>
                <Button
                  look="text"
                  onClick={() => changes.mutate(byFiles.map(({ row }) => ({ row: row.id, gone: null })))}
                >
                  They have not gone after all
                </Button>
              </div>
            )}
            {changes.error && <Notice tone="warning" title={inWords(changes.error)} />}
          </section>
        </div>
      }
    >
      <BatchHead one={one} view="out" />
      {isReady ? (
        <>
          <Mail {...{ one, setup, checked, keep, letters }} byServer={batch.byServer} />
          <Files {...{ one, setup, checked, keep }} />
          <Again {...{ one, setup }} />
        </>
      ) : (
        <p role="status" className="px-9 py-8 text-soft max-[899px]:px-4">
          Filling in {done.toLocaleString()} letters …
        </p>
      )}
    </Figure>
  );
}
