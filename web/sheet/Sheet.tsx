import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useBank, usePlaced, useBankIndex } from '../api';
import { CollectionTree, MakeCollection } from '../collections';
import { isDue, useReviews, ReviewsWaiting } from '../reviews';
import { ProposalsWaiting } from '../proposals';
import { Figure, useShell } from '../shell';
import { Button, Failed, Key, Loading, SelectField, TextField } from '../ui';
import type { BankIndex, NarrowedBy, Narrowing } from '#core/bank';
import { NotAllSearched } from '../show';
import { SelectedPanel } from './many/SelectedPanel';
import { addressOf, askedOf, type SheetAsked } from './asked';
import { useSheetLook, type SheetLook } from './look';
import { ORDERS, type Order } from './orders';
import { SheetOut } from './SheetOut';
import { SheetLines } from './SheetLines';
import { SheetTools } from './SheetTools';
import { useSelecting, type Selecting } from './useSelecting';
import { useSheetLines, type SheetShown } from './useSheetLines';

interface LinesProps {
  index: BankIndex;
  asked: SheetAsked;
  shown: SheetShown;
  due: ReadonlySet<string>;
  selecting: Selecting;
  look: SheetLook;
  times: Readonly<Record<string, number>>;
}

function Lines({ index, asked, shown: { lines, more, error }, due, selecting, look, times }: LinesProps) {
  const notAll = error && (
    <div className="px-7 py-3">
      <NotAllSearched error={error} />
    </div>
  );
  if (index.bank.entries.length === 0 && index.away.size === 0) {
    return (
      <p className="px-7 py-8 text-soft">
        The bank is empty. Select words on a leaf and press <Key>F4</Key> to keep the first ones, or{' '}
        <Link to="/bank/new" className="text-elder underline">
          write an entry
        </Link>{' '}
        here.
      </p>
    );
  }
  if (lines.length === 0) {
    return (
      notAll || (
        <p className="px-7 py-8 text-soft">
          {asked.query.trim() === ''
            ? 'No entries match these filters.'
            : 'Nothing found. Try fewer or other words, or another collection.'}
        </p>
      )
    );
  }
  return (
    <>
      {notAll}
      <SheetLines lines={lines} selecting={selecting} look={look} times={times} due={due} index={index} />
      {more && (
        <p className="px-7 py-4 text-soft">
          These are the nearest; there are more by these words. Add a word to see them.
        </p>
      )}
    </>
  );
}

const LINK_BUTTON =
  'rounded-[3px] border border-rule/60 px-3 py-1 whitespace-nowrap hover:border-elder hover:text-elder';

function Margin({ index, selecting }: { index: BankIndex | null; selecting: Selecting }) {
  if (!index) return null;
  if (selecting.ids)
    return (
      <SelectedPanel
        index={index}
        selected={selecting.ids}
        select={selecting.set}
        close={() => selecting.set(null)}
      />
    );
  return (
    <section aria-label="Collections" className="pt-6">
      <h2 className="eyebrow">Collections</h2>
      <CollectionTree collections={index.bank.collections} />
      <ProposalsWaiting />
      <ReviewsWaiting />
      <div className="mt-5 grid gap-5">
        <MakeCollection within={null} />
        <p className="flex flex-wrap gap-2">
          <Link to="/bank/new" className={LINK_BUTTON}>
            Write an entry
          </Link>
          <Link to="/bank/new" state={{ fromClipboard: true }} className={LINK_BUTTON}>
            Paste as a new entry
          </Link>
          <Link to="/bank/rows" className={LINK_BUTTON}>
            Row by row
          </Link>
          <Button onClick={() => selecting.set(new Set())}>Select several</Button>
          <Link to="/bank/take-over" className={LINK_BUTTON}>
            Bring in a collection
          </Link>
          <Link to="/bank/nearest" className={LINK_BUTTON}>
            Find wording for a message
          </Link>
          <Link to="/order" className={LINK_BUTTON}>
            Tidy the bank
          </Link>
        </p>
      </div>
    </section>
  );
}

const NONE: Readonly<Record<string, number>> = {};

/** What the sheet is narrowed by besides the entries themselves. */
function useNarrowedBy(): { by: NarrowedBy; times: Readonly<Record<string, number>> } {
  const { member } = useShell();
  const { data: placed } = usePlaced();
  const { data: reviewed } = useReviews();
  return useMemo(() => {
    const due = new Set((reviewed?.reviews ?? []).filter(isDue).map(({ entry }) => entry));
    const usedByMe = new Set(Object.keys(placed?.mine ?? NONE));
    const times = placed?.times ?? NONE;
    return { by: { member: member.id, due, usedByMe, used: new Set(Object.keys(times)) }, times };
  }, [member.id, placed, reviewed]);
}

interface NarrowedProps {
  index: BankIndex;
  asked: SheetAsked;
  narrow: (narrowing: Narrowing) => void;
  selecting: Selecting;
}

/** What can be done with the sheet, and its lines, worked out once for both. */
function Narrowed({ index, asked, narrow, selecting }: NarrowedProps) {
  const { look, change } = useSheetLook();
  const { by, times } = useNarrowedBy();
  const shown = useSheetLines(index, asked, by);
  return (
    <>
      <SheetTools index={index} narrowing={asked.narrowing} narrow={narrow} look={look} changeLook={change}>
        <SheetOut asked={asked} lines={shown.lines} />
      </SheetTools>
      <Lines {...{ index, asked, shown, selecting, look, times }} due={by.due} />
    </>
  );
}

/** The bank as a sheet to read: by collection, cue beside wording, narrowing as one types. */
export function Sheet() {
  const bank = useBank();
  const index = useBankIndex();
  // Another screen may send one here to see one collection, and one may come back to what was looked for.
  const [address, setAddress] = useSearchParams();
  const [first] = useState(() => askedOf(address));
  const [query, setQuery] = useState(first.query);
  const [collection, setCollection] = useState(first.collection);
  const [order, setOrder] = useState<Order>(first.order);
  const [narrowing, narrow] = useState(first.narrowing);
  const selecting = useSelecting();
  // Narrowing a long sheet may take longer than a key: the field itself never waits for it.
  const asked = useDeferredValue(
    useMemo(() => ({ query, collection, order, narrowing }), [query, collection, order, narrowing]),
  );
  useEffect(() => {
    const next = addressOf(asked);
    if (next.toString() !== addressOf(askedOf(address)).toString()) setAddress(next, { replace: true });
  }, [asked, address, setAddress]);
  return (
    <Figure marginLabel="Beside the sheet" margin={<Margin index={index} selecting={selecting} />}>
      <h1 className="px-7 pt-6 font-book text-[26px] leading-tight max-[899px]:px-4">The bank</h1>
      <div className="grid grid-cols-[minmax(0,1fr)_11rem_9rem] gap-5 px-7 pt-3 pb-2 max-[899px]:grid-cols-1 max-[899px]:gap-2 max-[899px]:px-4">
        <TextField
          label="Any word of title, purpose, wording or cue"
          type="search"
          value={query}
          onChange={(event) => setQuery(event.target.value)}
          spellCheck={false}
        />
        <SelectField
          label="Collection"
          value={collection}
          onChange={(event) => setCollection(event.target.value)}
        >
          <option value="">all</option>
          {index?.bank.collections.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
        <SelectField label="Order" value={order} onChange={(event) => setOrder(event.target.value as Order)}>
          {Object.entries(ORDERS).map(([key, { label }]) => (
            <option key={key} value={key}>
              {label}
            </option>
          ))}
        </SelectField>
      </div>
      {bank.isPending && <Loading what="the bank" />}
      {bank.isError && <Failed what="the bank" error={bank.error} retry={() => void bank.refetch()} />}
      {index && <Narrowed {...{ index, asked, narrow, selecting }} />}
    </Figure>
  );
}
