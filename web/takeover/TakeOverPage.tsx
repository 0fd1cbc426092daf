import { useMutation } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useLocation } from 'react-router';
import type { CollectionFile } from '#contracts';
import { renewCollection, useAtHand, useBank, KEYS, queryClient, useBankIndex } from '../api';
import { call } from '#client/api';
import type { BankIndex } from '#core/bank';
import { Figure } from '../shell';
import { Button, Failed, FileDrop, Loading, Refused, SelectField } from '../ui';
import { ArrivalsList } from './ArrivalsList';
import { starterFile, STARTER_LEAD_IN, STARTERS } from '#core/starters';
import { planTakeOver, type Choice } from '#core/takeover';
import { readCollectionFile, sendFilesAlong } from '#client/files';
import { setDone } from '#client/acts';

const entriesInWords = (count: number) => (count === 1 ? 'one entry' : `${count.toLocaleString()} entries`);

interface ArrivedProps {
  index: BankIndex;
  file: CollectionFile;
  done: (collection: string) => void;
}

/** The collection that one keeps by the name of the file's own: of one brought in before only what is new is added. '' for none. */
const sameInBank = ({ bank }: BankIndex, { collections: [root] }: CollectionFile): string =>
  bank.collections.find(({ name, right }) => right === 'keep' && name === root!.name)?.id ?? '';

/** What a file brings, what it finds, and the choice of what becomes of it. */
function Arrived({ index, file, done }: ArrivedProps) {
  const [into, setInto] = useState(() => sameInBank(index, file));
  const [choices, setChoices] = useState<ReadonlyMap<string, Choice>>(new Map());
  const home = index.collections.get(into) ?? null;
  const isHere = useAtHand(into === '' ? [] : [into]);
  const { arrivals, body } = useMemo(() => {
    const there = into === '' ? [] : index.bank.entries.filter(({ collection }) => collection === into);
    return planTakeOver(file, home, there, choices);
  }, [file, into, home, index, choices]);
  const take = useMutation({
    mutationFn: async () => {
      await sendFilesAlong(file, body);
      return call('takeOverFile', { body });
    },
    onSuccess: async ({ collection, made, changed, undo }) => {
      if (body.into === null) await queryClient.invalidateQueries({ queryKey: KEYS.bank });
      else await renewCollection(collection);
      // Told at the head of this page and of those one goes to, with its undo.
      setDone({ said: `${entriesInWords(made)} added, and ${entriesInWords(changed)} changed.`, undo });
      done(collection);
    },
  });
  const [root] = file.collections;
  const inside = file.collections.length - 1;
  return (
    <>
      <div className="grid gap-4 px-9 py-4 max-[899px]:px-4">
        <p>
          <span className="font-book text-[19px]">{root!.name}</span>
          <span className="text-soft">
            {' '}
            with {entriesInWords(file.entries.length)}
            {inside > 0 && (inside === 1 ? ' and one collection in it' : ` and ${inside} collections in it`)}
          </span>
        </p>
        <SelectField
          label="Where it goes"
          value={into}
          onChange={({ target }) => {
            setInto(target.value);
            // What was chosen beside what stands elsewhere means nothing here.
            setChoices(new Map());
          }}
        >
          <option value="">a collection of its own, which only you see until you share it</option>
          {index.bank.collections
            .filter(({ right }) => right === 'keep')
            .map(({ id, name }) => (
              <option key={id} value={id}>
                into {name}
              </option>
            ))}
        </SelectField>
      </div>
      {isHere ? (
        <ArrivalsList
          arrivals={arrivals}
          leadIn={(into === '' ? root : index.collections.get(into))?.leadIn ?? ''}
          choose={(ids, choice) =>
            setChoices((now) => new Map([...now, ...ids.map((id) => [id, choice] as const)]))
          }
        />
      ) : (
        <Loading what="the collection there" />
      )}
      <footer className="sticky bottom-0 flex items-center gap-4 border-t border-hair bg-page px-9 py-4 max-[899px]:px-4">
        <div className="grow text-[14px]">{take.error && <Refused error={take.error} />}</div>
        <Button
          look="main"
          disabled={!isHere || body.entries.length === 0 || take.isPending}
          onClick={() => take.mutate()}
        >
          Bring in {entriesInWords(body.entries.length)}
        </Button>
      </footer>
    </>
  );
}

/** The collection of the shelf that led here, as a file; null where none did. */
function useStarterAsked(): CollectionFile | null {
  const asked = (useLocation().state as { starter?: string } | null)?.starter;
  return useMemo(() => {
    const starter = STARTERS.find(({ id }) => id === asked);
    return starter ? starterFile(starter, STARTER_LEAD_IN) : null;
  }, [asked]);
}

/** Taking over a collection that another team handed on as a file: what clashes is seen before anything is kept. */
export function TakeOverPage() {
  const bank = useBank();
  const index = useBankIndex();
  const read = useMutation({ mutationFn: readCollectionFile });
  const [taken, setTaken] = useState<string | null>(null);
  const shelf = useStarterAsked();
  const file = read.data ?? shelf;
  return (
    <Figure
      marginLabel="About taking over"
      margin={
        <p className="pt-6 text-[14px] text-soft">
          A keeper saves such a file on a collection’s page. It has wording, fields, cues and settings; no
          case, no history, no names of members. Nothing changes here until you say so.
        </p>
      }
    >
      <header className="px-9 pt-6 pb-3 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight">Bring in a collection</h1>
      </header>
      <div className="grid gap-3 px-9 max-[899px]:px-4">
        <FileDrop
          label="Collection file"
          hint="Drop the file of a collection here. You see what it adds and what clashes before anything is saved."
          accept=".json,application/json"
          isReading={read.isPending}
          take={([file]) => {
            setTaken(null);
            if (file) read.mutate(file);
          }}
        />
        {read.error && <Refused error={read.error} />}
        <p className="text-[14px]">
          <Link to="/bank/shelf" className="text-elder underline">
            Starter collections
          </Link>
        </p>
        {taken && (
          <p>
            <Link to={`/bank?in=${taken}`} className="text-elder underline">
              See it in the bank
            </Link>
          </p>
        )}
      </div>
      {bank.isError && <Failed what="the bank" error={bank.error} retry={() => void bank.refetch()} />}
      {file && index && !taken && (
        <Arrived key={read.submittedAt} index={index} file={file} done={setTaken} />
      )}
    </Figure>
  );
}
