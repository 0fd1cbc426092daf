import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { TermFound } from '#contracts';
import { termForms } from '#core/terms';
import { useBank } from '../api/bank';
import { useBankIndex, type BankIndex } from '../bank/bankIndex';
import { DoneNotice } from '../bank/many/DoneNotice';
import { useMany } from '../bank/many/useMany';
import { Figure } from '../shell/Figure';
import { Button, Failed, Loading, TextField, Tick } from '../ui';
import { changeTerm, placeKey, takenPlaces, type TermEntry } from './changeTerm';
import { InItsText } from './InItsText';
import { LongWork } from './LongWork';
import { useLongWork } from './useLongWork';

interface LeftProps {
  left: ReadonlySet<string>;
  setLeft: (left: ReadonlySet<string>) => void;
}

function OfEntry({
  index,
  found: { entry, places },
  left,
  setLeft,
}: { index: BankIndex; found: TermEntry } & LeftProps) {
  const collection = index.collections.get(entry.collection);
  const mayChange = collection?.right === 'keep' || collection?.right === 'contribute';
  const keys = places.map((_, at) => placeKey(entry.id, at));
  const toggle = (some: readonly string[], out: boolean) =>
    setLeft(new Set(out ? [...left, ...some] : [...left].filter((key) => !some.includes(key))));
  const isOut = keys.every((key) => left.has(key));
  return (
    <li className="border-b border-hair px-9 py-3 max-[899px]:px-4">
      <p className="flex flex-wrap items-baseline gap-x-2">
        <Link to={`/bank/${entry.id}`} className="font-book text-[17px] break-words text-ink">
          {entry.content.title}
        </Link>
        <span className="text-[13px] text-soft">
          {collection?.name}
          {collection?.right === 'contribute' && ', to be proposed to its keepers'}
          {!mayChange && ', which is not yours to change'}
        </span>
        {mayChange && places.length > 1 && (
          <Button look="text" className="text-[13px]" onClick={() => toggle(keys, !isOut)}>
            {isOut ? 'Take all of it' : 'Leave all of it'}
          </Button>
        )}
      </p>
      <ul aria-label={`In ${entry.content.title}`}>
        {places.map((place, at) => {
          const shown = <InItsText content={entry.content} {...place} />;
          return (
            <li key={placeKey(entry.id, at)} className="py-0.5">
              {mayChange ? (
                <Tick on={!left.has(keys[at]!)} toggle={() => toggle([keys[at]!], !left.has(keys[at]!))}>
                  <span>{shown}</span>
                </Tick>
              ) : (
                shown
              )}
            </li>
          );
        })}
      </ul>
    </li>
  );
}

/** A form of the term as it was found, without the article that follows it. */
const formOf = ({ words }: TermEntry['places'][number]) =>
  words
    .trim()
    .replace(/^an?\s+/i, '')
    .toLocaleLowerCase();

/** The forms that were found, each of which is taken or left as a whole. */
function Forms({ entries, left, setLeft }: { entries: readonly TermEntry[] } & LeftProps) {
  const places = new Map<string, string[]>();
  for (const { entry, places: all } of entries)
    all.forEach((place, at) => {
      const form = formOf(place);
      places.set(form, [...(places.get(form) ?? []), placeKey(entry.id, at)]);
    });
  if (places.size < 2) return null;
  return (
    <fieldset className="flex w-full flex-wrap gap-x-5 gap-y-1">
      <legend className="sr-only">Its forms</legend>
      {[...places].map(([form, keys]) => {
        const isOut = keys.every((key) => left.has(key));
        return (
          <Tick
            key={form}
            on={!isOut}
            toggle={() =>
              setLeft(new Set(isOut ? [...left].filter((key) => !keys.includes(key)) : [...left, ...keys]))
            }
          >
            {form} <span className="text-soft">{keys.length}</span>
          </Tick>
        );
      })}
    </fieldset>
  );
}

interface ResultProps {
  index: BankIndex;
  found: TermFound;
  reason: string;
  again: () => void;
}

const counted = (count: number, one: string, many: string) =>
  count === 1 ? `one ${one}` : `${count.toLocaleString()} ${many}`;

/** All places found, each taken or left; changed in one act, taken back by one. */
function Result({ index, found, reason, again }: ResultProps) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const many = useMany(() => undefined);
  const { entries, count, places, read } = found;
  const mine = entries.filter(({ entry }) => index.collections.get(entry.collection)?.right !== 'read');
  const taken = takenPlaces(mine, left);
  const takenCount = taken.reduce((sum, one) => sum + one.places.length, 0);
  if (count === 0)
    return (
      <p role="status" className="px-9 py-3 text-soft max-[899px]:px-4">
        It stands in none of {counted(read, 'entry', 'entries')}.
      </p>
    );
  return (
    <>
      <div className="sticky top-0 z-10 flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-hair bg-page px-9 py-3 max-[899px]:px-4">
        <p role="status" className="grow text-[14px] text-soft">
          {counted(places, 'place', 'places')} in {counted(count, 'entry', 'entries')}
          {count > entries.length && `; the first ${entries.length} entries are shown`}.
        </p>
        {!many.done && (
          <Button
            disabled={takenCount === 0 || many.pending}
            onClick={() => many.run(() => changeTerm(taken, index.collections, reason))}
          >
            Change {counted(takenCount, 'place', 'places')}
          </Button>
        )}
        {(many.done ?? many.error) && <Button onClick={again}>Look again</Button>}
        {!many.done && <Forms entries={mine} left={left} setLeft={setLeft} />}
        <div className="w-full empty:hidden">
          <DoneNotice many={many} />
        </div>
      </div>
      {!many.done && (
        <ul>
          {entries.map((one) => (
            <OfEntry key={one.entry.id} index={index} found={one} left={left} setLeft={setLeft} />
          ))}
        </ul>
      )}
    </>
  );
}

interface WhereProps {
  index: BankIndex;
  chosen: ReadonlySet<string>;
  setChosen: (chosen: ReadonlySet<string>) => void;
}

/** The collections that are looked through: all of them as long as none is chosen. */
function Where({ index, chosen, setChosen }: WhereProps) {
  const toggle = (id: string) =>
    setChosen(new Set(chosen.has(id) ? [...chosen].filter((one) => one !== id) : [...chosen, id]));
  return (
    <details className="text-[14px]">
      <summary className="cursor-pointer text-soft">
        {chosen.size === 0 ? 'In all collections' : `In ${counted(chosen.size, 'collection', 'collections')}`}
      </summary>
      <div className="mt-1 grid max-h-60 gap-1 overflow-y-auto pl-4">
        {index.bank.collections.map(({ id, name }) => (
          <Tick key={id} on={chosen.has(id)} toggle={() => toggle(id)}>
            {name}
          </Tick>
        ))}
      </div>
    </details>
  );
}

function ChangeTerm({ index }: { index: BankIndex }) {
  const [params] = useSearchParams();
  const [from, setFrom] = useState(params.get('from') ?? '');
  const [to, setTo] = useState(params.get('to') ?? '');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const { working, start, stop } = useLongWork('termInBank');
  // What was asked for last: what stands in the fields may be another by now.
  const [asked, setAsked] = useState({ from, to });
  const isSame = from.trim() === to.trim();
  const look = () => {
    if (from.trim() === '' || isSame) return;
    setAsked({ from: from.trim(), to: to.trim() });
    start({
      forms: termForms(from, to),
      collections: [...chosen],
    });
  };
  return (
    <>
      <form
        className="grid gap-3 border-b border-hair px-9 pb-4 max-[899px]:px-4"
        onSubmit={(event) => {
          event.preventDefault();
          look();
        }}
      >
        <div className="grid grid-cols-[1fr_1fr_auto] items-end gap-x-5 gap-y-2 max-[899px]:grid-cols-1">
          <TextField
            label="These words"
            autoFocus
            maxLength={100}
            value={from}
            onChange={({ target }) => setFrom(target.value)}
          />
          <TextField
            label="Become"
            maxLength={100}
            value={to}
            onChange={({ target }) => setTo(target.value)}
          />
          <Button type="submit" disabled={from.trim() === '' || isSame || working.state === 'working'}>
            Show every place
          </Button>
        </div>
        <Where index={index} chosen={chosen} setChosen={setChosen} />
      </form>
      <LongWork what="Reading the bank" working={working} stop={stop}>
        {(found) => (
          <Result
            index={index}
            found={found}
            reason={asked.to === '' ? `“${asked.from}” dropped` : `“${asked.from}” is “${asked.to}” now`}
            again={look}
          />
        )}
      </LongWork>
    </>
  );
}

/** A term changed in the whole bank: every place is shown before, and all is taken back by one undo. */
export function TermPage() {
  const bank = useBank();
  const index = useBankIndex();
  return (
    <Figure
      marginLabel="About changing a term"
      margin={
        <div className="grid gap-3 pt-6 text-[14px] text-soft">
          <p>
            Whole words are found, however they are written: “Hog” and “HOG” become “Hedgehog” and “HEDGEHOG”.
            A and an before them follow.
          </p>
          <p>
            Titles, purposes, wordings and the words of fields are looked through. Nothing is changed before
            you have seen it.
          </p>
          <p>What you do not keep is proposed to those who do. One undo takes all of it back.</p>
        </div>
      }
    >
      <h1 className="px-9 pt-6 pb-4 font-book text-[26px] leading-tight max-[899px]:px-4">
        Change a term everywhere
      </h1>
      {bank.isError && <Failed what="the bank" error={bank.error} retry={() => void bank.refetch()} />}
      {!index && !bank.isError && <Loading what="the bank" />}
      {index && <ChangeTerm index={index} />}
    </Figure>
  );
}
