import { memo, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { Link, useLocation, useSearchParams } from 'react-router';
import type { Entry } from '#contracts';
import { useBank } from '../api/queries';
import { instantInWords } from '../clock/calendarToday';
import { CollectionTree } from '../collections/CollectionTree';
import { MakeCollection } from '../collections/MakeCollection';
import { ProposalsWaiting } from '../proposals/ProposalsWaiting';
import { Figure } from '../shell/Figure';
import { Button, Failed, Key, Loading, Notice, SelectField, TextField } from '../ui';
import { typedCue, useBankIndex, type BankIndex } from './bankIndex';
import { mainPassage } from './entryFields';
import { SelectedPanel } from './many/SelectedPanel';
import { PassageView } from './PassageView';

const ORDERS = {
  title: {
    label: 'by title',
    compare: (a: Entry, b: Entry) => a.content.title.localeCompare(b.content.title),
  },
  cue: {
    label: 'by cue',
    compare: (a: Entry, b: Entry) =>
      (a.content.cues[0]?.text ?? '\uffff').localeCompare(b.content.cues[0]?.text ?? '\uffff'),
  },
  saved: { label: 'newest first', compare: (a: Entry, b: Entry) => b.savedAt.localeCompare(a.savedAt) },
} as const;
type Order = keyof typeof ORDERS;

/** Drawn again only when the entry itself has changed: narrowing a long sheet must keep up with the keys. */
interface RowProps {
  entry: Entry;
  cue: string | null;
  /** Whether it is selected; null where nothing is being selected. */
  selected: boolean | null;
  toggle: (id: string) => void;
}

const Row = memo(function Row({ entry, cue, selected, toggle }: RowProps) {
  const { title, purpose, fields, retired, tags } = entry.content;
  return (
    <li className={`sheet-row ${selected === null ? '' : 'flex'}`}>
      {selected !== null && (
        <input
          type="checkbox"
          aria-label={`Select ${title}`}
          checked={selected}
          onChange={() => toggle(entry.id)}
          className="mt-3.5 ml-4 shrink-0 self-start accent-elder"
        />
      )}
      <Link
        to={`/bank/${entry.id}`}
        title={`Saved ${instantInWords(entry.savedAt)}`}
        className="group grid grow grid-cols-[5.5rem_minmax(0,1fr)] gap-x-5 px-7 py-2.5 max-[899px]:grid-cols-[4rem_minmax(0,1fr)] max-[899px]:px-4"
      >
        <div className="cue pt-px break-words">{cue ?? <span className="text-soft">–</span>}</div>
        <div className="min-w-0">
          <div className="break-words text-[14px] font-semibold group-hover:text-elder">
            {title}
            {entry.varies && <span className="font-normal text-leaf"> · a variation</span>}
            {retired && <span className="font-normal text-rust"> · out of use</span>}
            {tags.length > 0 && <span className="font-normal text-soft"> · {tags.join(', ')}</span>}
            {purpose && <span className="font-normal text-soft"> · {purpose}</span>}
          </div>
          <div className="sheet-wording book">
            <PassageView
              passage={mainPassage(entry.content)}
              nameOf={(id) => fields.find((field) => field.id === id)?.name ?? id}
              links={false}
            />
          </div>
        </div>
      </Link>
    </li>
  );
});

/** What is selected on the sheet: null until one begins to select. */
interface Selecting {
  ids: ReadonlySet<string> | null;
  set: (ids: ReadonlySet<string> | null) => void;
  toggle: (id: string) => void;
  add: (ids: readonly string[]) => void;
}

function useSelecting(): Selecting {
  const [ids, set] = useState<ReadonlySet<string> | null>(null);
  const toggle = useCallback(
    (id: string) =>
      set((all) => new Set(all?.has(id) ? [...all].filter((one) => one !== id) : [...(all ?? []), id])),
    [],
  );
  const add = (more: readonly string[]) => set(new Set([...(ids ?? []), ...more]));
  return { ids, set, toggle, add };
}

interface Asked {
  query: string;
  collection: string;
  order: Order;
}

/** What the sheet shows: collections in their order, each with those of its entries that were asked for. */
function useGroups(index: BankIndex | null, { query, collection, order }: Asked) {
  return useMemo(() => {
    if (!index) return [];
    const found = query.trim() === '' ? null : new Set(index.finder.find(query));
    const wanted = index.bank.collections.filter(({ id }) => collection === '' || id === collection);
    return wanted
      .map((one) => ({
        collection: one,
        entries: index.bank.entries
          .filter((entry) => entry.collection === one.id && (!found || found.has(entry.id)))
          .sort(ORDERS[order].compare),
      }))
      .filter(({ entries }) => entries.length > 0 || (query.trim() === '' && collection !== ''));
  }, [index, query, collection, order]);
}

interface GroupsProps {
  index: BankIndex;
  asked: Asked;
  selecting: Selecting;
}

function Groups({ index, asked, selecting }: GroupsProps) {
  const groups = useGroups(index, asked);
  if (index.bank.entries.length === 0) {
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
  if (groups.length === 0) {
    return (
      <p className="px-7 py-8 text-soft">
        No entry by these words. Try fewer of them, or another collection.
      </p>
    );
  }
  return groups.map(({ collection, entries }) => (
    <section key={collection.id} aria-label={collection.name} className="pb-2">
      <h2 className="flex items-baseline gap-3 border-b border-hair px-7 pt-5 pb-1.5 max-[899px]:px-4">
        <Link to={`/collections/${collection.id}`} className="font-book text-[19px] hover:text-elder">
          {collection.name}
        </Link>
        {selecting.ids && (
          <Button
            look="text"
            className="text-[13px]"
            onClick={() => selecting.add(entries.map(({ id }) => id))}
          >
            Select all
          </Button>
        )}
        <span className="text-[12.5px] text-soft">
          {entries.length === 1 ? '1 entry' : `${entries.length} entries`}
          {collection.leadIn && (
            <>
              , cues after <span className="cue">{collection.leadIn}</span>
            </>
          )}
        </span>
      </h2>
      {entries.length === 0 && <p className="px-7 py-4 text-soft">Nothing is kept here yet.</p>}
      <ul>
        {entries.map((entry) => (
          <Row
            key={entry.id}
            entry={entry}
            cue={typedCue(entry, collection)}
            selected={selecting.ids ? selecting.ids.has(entry.id) : null}
            toggle={selecting.toggle}
          />
        ))}
      </ul>
    </section>
  ));
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
      <div className="mt-5 grid gap-5">
        <MakeCollection within={null} />
        <p className="flex flex-wrap gap-2">
          <Link to="/bank/new" className={LINK_BUTTON}>
            Write an entry
          </Link>
          <Link to="/bank/new" state={{ fromClipboard: true }} className={LINK_BUTTON}>
            From what was copied
          </Link>
          <Link to="/bank/rows" className={LINK_BUTTON}>
            Row by row
          </Link>
          <Button onClick={() => selecting.set(new Set())}>Select several</Button>
        </p>
      </div>
    </section>
  );
}

/** The bank as a sheet to read: by collection, cue beside wording, narrowing as one types. */
export function Sheet() {
  const bank = useBank();
  const index = useBankIndex();
  const [query, setQuery] = useState('');
  // Another screen may send one here to see one collection.
  const [params] = useSearchParams();
  const [collection, setCollection] = useState(params.get('in') ?? '');
  const [order, setOrder] = useState<Order>('title');
  const selecting = useSelecting();
  // What was done on the page one came from.
  const said = (useLocation().state as { said?: string } | null)?.said;
  // Narrowing a long sheet may take longer than a key: the field itself never waits for it.
  const asked = useDeferredValue(useMemo(() => ({ query, collection, order }), [query, collection, order]));
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
      {said && (
        <div className="px-7 pb-2 max-[899px]:px-4">
          <Notice title={said}>
            <Link to="/wastebasket" className="text-elder underline">
              To the wastebasket
            </Link>
          </Notice>
        </div>
      )}
      {bank.isPending && <Loading what="the bank" />}
      {bank.isError && <Failed what="the bank" error={bank.error} retry={() => void bank.refetch()} />}
      {index && <Groups index={index} asked={asked} selecting={selecting} />}
    </Figure>
  );
}
