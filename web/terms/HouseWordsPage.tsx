import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { HouseWordGiven } from '#contracts';
import { useBank, houseWordsQuery, KEYS, queryClient, useBankIndex } from '../api';
import { call, inWords } from '#client/api';
import type { BankIndex } from '#core/bank';
import { languageName, LANGUAGES } from '#core/language';
import { Figure } from '../shell';
import { Button, Failed, Loading, Notice, SelectField, TextField, Tick } from '../ui';
import { LongWork, useLongWork } from '../longWork';
import { counted } from '../show';
import { PlacesFound } from './PlacesFound';

type Kept = HouseWordGiven & { id: string };

const EMPTY: HouseWordGiven = { language: '', use: '', avoid: [], why: '', together: false };

const settled = () => void queryClient.invalidateQueries({ queryKey: KEYS.houseWords });

const listed = (text: string) =>
  text
    .split(/[,;]/)
    .map((one) => one.trim())
    .filter(Boolean);

interface FormProps {
  word: HouseWordGiven;
  save: (word: HouseWordGiven) => void;
  pending: boolean;
  cancel: (() => void) | null;
}

function WordForm({ word, save, pending, cancel }: FormProps) {
  const [now, setNow] = useState(word);
  const [avoid, setAvoid] = useState(word.avoid.join(', '));
  const put = (change: Partial<HouseWordGiven>) => setNow({ ...now, ...change });
  return (
    <form
      aria-label={word.avoid.length > 0 ? 'Change a term' : 'New term'}
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        save({ ...now, use: now.use.trim(), avoid: listed(avoid) });
      }}
    >
      <div className="grid grid-cols-2 gap-x-5 gap-y-2 max-[899px]:grid-cols-1">
        <TextField
          label="We say"
          maxLength={100}
          value={now.use}
          onChange={({ target }) => put({ use: target.value })}
        />
        <TextField
          label="Not (several with commas)"
          maxLength={500}
          value={avoid}
          onChange={({ target }) => setAvoid(target.value)}
        />
      </div>
      <div className="grid grid-cols-[1fr_11rem] gap-x-5 gap-y-2 max-[899px]:grid-cols-1">
        <TextField
          label="Reason"
          maxLength={300}
          value={now.why}
          onChange={({ target }) => put({ why: target.value })}
        />
        <SelectField
          label="Language"
          value={now.language}
          onChange={({ target }) => put({ language: target.value })}
        >
          <option value="">every language</option>
          {LANGUAGES.map((code) => (
            <option key={code} value={code}>
              {languageName(code)}
            </option>
          ))}
        </SelectField>
      </div>
      <Tick on={now.together} toggle={() => put({ together: !now.together })}>
        Only where an entry has two of these words
      </Tick>
      <p className="flex gap-3">
        <Button type="submit" disabled={pending || listed(avoid).length === 0}>
          Save
        </Button>
        {cancel && <Button onClick={cancel}>Cancel</Button>}
      </p>
    </form>
  );
}

interface LineProps {
  word: Kept;
  mayChange: boolean;
  found: number | null;
  edit: () => void;
  drop: () => void;
}

function WordLine({ word, mayChange, found, edit, drop }: LineProps) {
  const { use, avoid, why, language, together } = word;
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 border-b border-hair py-2">
      <p className="min-w-0 grow break-words">
        <span className="font-book text-[17px]">{use || <span className="text-soft">leave out</span>}</span>{' '}
        <span className="text-[14px] text-soft">{use && 'not'} </span>
        <span className="font-book text-[16px] text-rust">{avoid.join(', ')}</span>
        <span className="block text-[13px] text-soft">
          {[why, language && languageName(language), together && 'only where two of them are in one entry']
            .filter(Boolean)
            .join(' · ')}
        </span>
      </p>
      {found !== null && <span className="text-[13px] text-soft">{counted(found, 'place', 'places')}</span>}
      {mayChange && (
        <span className="flex gap-3 text-[14px]">
          <Button look="text" aria-label={`Change ${use || avoid[0]}`} onClick={edit}>
            Change
          </Button>
          <Button look="text" aria-label={`Remove ${use || avoid[0]}`} onClick={drop}>
            Remove
          </Button>
        </span>
      )}
    </li>
  );
}

/** The words, their forms, and what was dropped last. */
function useHouseWords() {
  const [dropped, setDropped] = useState<Kept | null>(null);
  const save = useMutation({
    mutationFn: ({ id, ...body }: HouseWordGiven & { id?: string }) =>
      id === undefined
        ? call('makeHouseWord', { body })
        : call('saveHouseWord', { params: { word: id }, body }),
    onSuccess: () => setDropped(null),
    onSettled: settled,
  });
  const drop = useMutation({
    mutationFn: ({ id }: Kept) => call('dropHouseWord', { params: { word: id } }),
    onSuccess: (_, word) => setDropped(word),
    onSettled: settled,
  });
  return { save, drop, dropped, error: save.error ?? drop.error };
}

interface ListProps {
  words: readonly Kept[];
  mayChange: boolean;
  /** How often shared wording says otherwise, by word; null as long as nobody asked. */
  counts: Readonly<Record<string, number>> | null;
}

/** The words that are settled, each changed where it stands, and a form for another. */
function WordList({ words, mayChange, counts }: ListProps) {
  const { save, drop, dropped, error } = useHouseWords();
  const [editing, setEditing] = useState<string | null>(null);
  return (
    <div className="px-9 pb-5 max-[899px]:px-4">
      {error && <Notice tone="warning" title={`${inWords(error)} What you wrote is still here.`} />}
      {dropped && (
        <Notice title={`“${dropped.use || dropped.avoid[0]}” is no longer house style.`}>
          <Button look="text" onClick={() => save.mutate({ ...dropped, id: undefined })}>
            Undo
          </Button>
        </Notice>
      )}
      {words.length === 0 && (
        <p className="py-3 text-soft">
          Nothing is settled yet.{' '}
          {mayChange && 'Write down the first word that you all want to use, and which it replaces.'}
        </p>
      )}
      <ul aria-label="House style">
        {words.map((word) =>
          editing === word.id ? (
            <li key={word.id} className="border-b border-hair py-3">
              <WordForm
                word={word}
                pending={save.isPending}
                save={(next) => save.mutate({ ...next, id: word.id }, { onSuccess: () => setEditing(null) })}
                cancel={() => setEditing(null)}
              />
            </li>
          ) : (
            <WordLine
              key={word.id}
              word={word}
              mayChange={mayChange}
              found={counts && (counts[word.id] ?? 0)}
              edit={() => setEditing(word.id)}
              drop={() => drop.mutate(word)}
            />
          ),
        )}
      </ul>
      {mayChange && (
        <div className="pt-4">
          {/* Empty again once the last was kept. */}
          <WordForm
            key={words.length}
            word={EMPTY}
            pending={save.isPending}
            save={(next) => save.mutate(next)}
            cancel={null}
          />
        </div>
      )}
    </div>
  );
}

function HouseWords({
  index,
  words,
  mayChange,
}: {
  index: BankIndex;
  words: readonly Kept[];
  mayChange: boolean;
}) {
  const { working, start, stop } = useLongWork('saidOtherwise');
  const look = () => start(undefined);
  const found = working.state === 'done' ? working.result : null;
  const whyOf = new Map(words.map(({ id, why }) => [id, why]));
  return (
    <>
      <WordList words={words} mayChange={mayChange} counts={found && found.counts} />
      <div className="flex items-center gap-4 border-t border-hair px-9 py-4 max-[899px]:px-4">
        <h2 className="grow font-book text-[19px]">Entries that differ</h2>
        <Button disabled={words.length === 0 || working.state === 'working'} onClick={look}>
          Check the bank
        </Button>
      </div>
      <LongWork what="Reading the shared wording" working={working} stop={stop}>
        {(result) => (
          <PlacesFound
            index={index}
            found={result}
            none={(entries) => `House style is followed in all ${entries}.`}
            reason="As house style has it"
            again={look}
            about={(place) => ('word' in place ? (whyOf.get(place.word as string) ?? '') : '')}
          />
        )}
      </LongWork>
    </>
  );
}

/** What is said in shared wording, instead of what, and why; and where the bank says otherwise. */
export function HouseWordsPage() {
  const bank = useBank();
  const index = useBankIndex();
  const words = useQuery(houseWordsQuery);
  const error = bank.error ?? words.error;
  return (
    <Figure
      marginLabel="About house style"
      margin={
        <div className="grid gap-3 pt-6 text-[14px] text-soft">
          <p>
            Terms you have settled are pointed out while an entry is written, with one step that mends them.
            Their plurals and other forms count too.
          </p>
          <p>
            Some terms are right alone and only confuse side by side: they are pointed out where an entry has
            two of them.
          </p>
          <p>Owners, and all who keep a shared collection, settle them. Changes are in the trail.</p>
        </div>
      }
    >
      <h1 className="px-9 pt-6 pb-3 font-book text-[26px] leading-tight max-[899px]:px-4">House style</h1>
      {error && (
        <Failed
          what="the house style"
          error={error}
          retry={() => void Promise.all([bank.refetch(), words.refetch()])}
        />
      )}
      {!error && (!index || !words.data) && <Loading what="the house style" />}
      {index && words.data && <HouseWords index={index} {...words.data} />}
    </Figure>
  );
}
