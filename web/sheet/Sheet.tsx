import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { ChevronDown } from 'lucide-react';
import { useBank, usePlaced, useBankIndex } from '../api';
import { MANY_ACTS } from '#client/acts';
import { DoneNotice, useMany } from '../acts';
import { CollectionTree, MakeCollection, type Taking } from '../collections';
import { entryDropped, isEntryDragged } from './draggedEntry';
import { isDue, useReviews } from '../reviews';
import { Figure, useShell } from '../shell';
import { Button, Failed, Key, Loading, Menu, Notice, SelectField, TextField } from '../ui';
import { whyNotMoved, type BankIndex, type NarrowedBy, type Narrowing } from '#core/bank';
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
    <div className="px-9 py-3">
      <NotAllSearched error={error} />
    </div>
  );
  if (index.bank.entries.length === 0 && index.away.size === 0) {
    return (
      <p className="px-9 py-8 text-soft">
        The bank is empty. Select words on a leaf and press <Key>F4</Key> to save the first ones, or{' '}
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
        <p className="px-9 py-8 text-soft">
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
        <p className="px-9 py-4 text-soft">These are the nearest; there are more. Add a word to find them.</p>
      )}
    </>
  );
}

const MAIN_LINK =
  'rounded-[3px] bg-elder px-4 py-1.5 font-semibold whitespace-nowrap text-on-elder hover:opacity-90';

/** The ways to add more than one entry, or what others wrote. */
const ADDING = [
  ['Row by row', '/bank/rows'],
  ['Bring in a file', '/bank/bring-in'],
  ['Starter collections', '/bank/shelf'],
] as const;

interface MarginProps {
  index: BankIndex | null;
  collection: string;
  selecting: Selecting;
}

function Margin({ index, collection, selecting }: MarginProps) {
  const navigate = useNavigate();
  const many = useMany(() => undefined);
  const [refused, setRefused] = useState<string | null>(null);
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
  const taking: Taking = {
    is: isEntryDragged,
    take: (event, { id, name }) => {
      const entry = index.entries.get(entryDropped(event));
      if (!entry || entry.collection === id) return;
      const why = whyNotMoved(entry, id, index);
      setRefused(why);
      if (!why) many.run(() => MANY_ACTS.move([entry], id, name));
    },
  };
  return (
    <>
      <p className="flex flex-wrap gap-2 pt-6">
        <Link to="/bank/new" className={MAIN_LINK}>
          Write an entry
        </Link>
        <Menu
          align="start"
          trigger={
            <Button>
              Add <ChevronDown size={14} aria-hidden />
            </Button>
          }
          items={[
            {
              label: 'Paste as a new entry',
              onSelect: () => void navigate('/bank/new', { state: { fromClipboard: true } }),
            },
            ...ADDING.map(([label, to]) => ({ label, onSelect: () => void navigate(to) })),
          ]}
        />
        <Button onClick={() => selecting.set(new Set())}>Select several</Button>
      </p>
      <section aria-label="Collections" className="pt-5">
        <h2 className="section-head">Collections</h2>
        <DoneNotice many={many} />
        {refused && <Notice tone="warning" title={refused} />}
        <CollectionTree collections={index.bank.collections} shown={collection} taking={taking} />
        <div className="mt-5">
          <MakeCollection within={null} />
        </div>
      </section>
      <p className="mt-6 grid justify-items-start gap-1.5 text-[14px]">
        <Link to="/bank/nearest" className="text-elder underline">
          Find wording for a message
        </Link>
        <Link to="/order" className="text-elder underline">
          Tidy the bank
        </Link>
      </p>
    </>
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
        <SheetOut asked={asked} lines={shown.lines} index={index} />
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
  const collection = address.get('in') ?? '';
  const [order, setOrder] = useState<Order>(first.order);
  const [narrowing, narrow] = useState(first.narrowing);
  const selecting = useSelecting();
  // Narrowing a long sheet may take longer than a key: the field itself never waits for it.
  const asked = useDeferredValue(
    useMemo(() => ({ query, collection, order, narrowing }), [query, collection, order, narrowing]),
  );
  useEffect(() => {
    // The collection is the address's own: what is asked may still be of the one before.
    const next = addressOf({ ...asked, collection });
    if (next.toString() !== addressOf(askedOf(address)).toString()) setAddress(next, { replace: true });
  }, [asked, collection, address, setAddress]);
  return (
    <Figure
      marginLabel="Beside the sheet"
      margin={<Margin index={index} collection={collection} selecting={selecting} />}
    >
      <h1 className="px-9 pt-6 font-book text-[26px] leading-tight max-[899px]:px-4">The bank</h1>
      <div className="grid grid-cols-[minmax(0,1fr)_9rem] gap-5 px-9 pt-3 pb-2 max-[899px]:grid-cols-1 max-[899px]:gap-2 max-[899px]:px-4">
        <TextField
          label="Search titles, wordings and cues"
          type="search"
          value={query}
          onChange={(event) => setQuery(event.target.value)}
          spellCheck={false}
        />
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
