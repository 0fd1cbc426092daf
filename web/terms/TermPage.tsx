import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { termForms } from '#core/terms';
import { useBank, useBankIndex } from '../api';
import type { BankIndex } from '#core/bank';
import { Figure } from '../shell';
import { Button, Failed, Loading, TextField, Tick } from '../ui';
import { LongWork, useLongWork } from '../longWork';
import { counted } from '../show';
import { PlacesFound } from './PlacesFound';

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
            label="Find"
            autoFocus
            maxLength={100}
            value={from}
            onChange={({ target }) => setFrom(target.value)}
          />
          <TextField
            label="Replace with"
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
          <PlacesFound
            index={index}
            found={found}
            none={(entries) => `“${asked.from}” was not found in ${entries}.`}
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
            Titles, “when to use it”, wordings and fields are searched. You see each place before it is
            changed.
          </p>
          <p>Where you are not a keeper, it is proposed. One undo takes all of it back.</p>
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
