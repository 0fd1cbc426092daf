import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Collection, CollectionSettings } from '#contracts';
import { within } from '#core/rights';
import { call, inWords } from '#client/api';
import { collectionToHandOn, offerAs } from '#client/files';
import { useBank, KEYS, queryClient, useBankIndex, useKinds } from '../api';
import type { BankIndex } from '#core/bank';
import { AwaitedScreen, Figure, NothingHere } from '../shell';
import { Button, Notice } from '../ui';
import { CollectionHistory } from './CollectionHistory';
import { CollectionSettingsForm } from './CollectionSettingsForm';
import { MakeCollection } from './MakeCollection';
import { rightInWords } from './rightInWords';
import { SharingPanel } from './SharingPanel';

/** The collections around one, from the outermost in. */
function aroundOf({ parent }: Collection, collections: BankIndex['collections']): Collection[] {
  const around = parent === null ? undefined : collections.get(parent);
  return around ? [...aroundOf(around, collections), around] : [];
}

function Way({ around }: { around: readonly Collection[] }) {
  return (
    <nav aria-label="What it is in" className="flex flex-wrap gap-x-1.5 text-[13px] text-soft">
      <Link to="/bank" className="hover:text-elder">
        The bank
      </Link>
      {around.map(({ id, name }) => (
        <span key={id}>
          /{' '}
          <Link to={`/collections/${id}`} className="hover:text-elder">
            {name}
          </Link>
        </span>
      ))}
    </nav>
  );
}

interface DropProps {
  collection: Collection;
  /** How many entries, and how many collections, are in it and in those within it. */
  entries: number;
  inside: number;
}

function Drop({ collection, entries, inside }: DropProps) {
  const navigate = useNavigate();
  const [asking, setAsking] = useState(false);
  const drop = useMutation({
    mutationFn: () =>
      call('dropCollection', { params: { collection: collection.id }, version: collection.version }),
    onSuccess: () => {
      for (const queryKey of [KEYS.bank, KEYS.wastebasket]) void queryClient.invalidateQueries({ queryKey });
      void navigate('/bank');
    },
  });
  const what = [
    entries > 0 && (entries === 1 ? 'one entry' : `${entries} entries`),
    inside > 0 && (inside === 1 ? 'one collection' : `${inside} collections`),
  ].filter(Boolean);
  return (
    <div className="grid gap-2">
      {asking ? (
        <div
          role="alertdialog"
          aria-label={`Delete ${collection.name}?`}
          className="grid gap-2 border-l-2 border-rust pl-3"
        >
          <p className="text-[14px]">
            {what.length > 0
              ? `It goes to the wastebasket with ${what.join(' and ')} in it`
              : 'It goes to the wastebasket'}
            , for everyone it is shared with, and can be brought back with all in it.
          </p>
          <p className="flex gap-2">
            <Button look="main" autoFocus disabled={drop.isPending} onClick={() => drop.mutate()}>
              Delete
            </Button>
            <Button onClick={() => setAsking(false)}>Cancel</Button>
          </p>
        </div>
      ) : (
        <Button className="justify-self-start" onClick={() => setAsking(true)}>
          Delete this collection
        </Button>
      )}
      {drop.error && <Notice tone="warning" title={inWords(drop.error)} />}
    </div>
  );
}

/** The whole collection as a file, for another team. */
function HandOn({ collection: { id, name } }: { collection: Collection }) {
  const handOn = useMutation({
    mutationFn: () => collectionToHandOn(id),
    onSuccess: (file) => offerAs('json', JSON.stringify(file), name),
  });
  return (
    <>
      <Button className="justify-self-start" disabled={handOn.isPending} onClick={() => handOn.mutate()}>
        Save as a file for another team
      </Button>
      {handOn.error && <Notice tone="warning" title={inWords(handOn.error)} />}
    </>
  );
}

function Known({ collection, index }: { collection: Collection; index: BankIndex }) {
  const kinds = useKinds();
  const inside = index.bank.collections.filter(({ parent }) => parent === collection.id);
  const { counts } = index.bank;
  const entries = counts[collection.id] ?? 0;
  const [broughtBack, setBroughtBack] = useState<CollectionSettings | null>(null);
  const all = within(collection.id, index.bank.collections);
  const keeps = collection.right === 'keep';
  const isRoot = collection.own && collection.parent === null;
  return (
    <Figure
      marginLabel="About this collection"
      margin={
        <div className="grid gap-7 pt-6">
          <SharingPanel collection={collection} />
          <section aria-label="In it" className="grid gap-2">
            <h2 className="section-head">In it</h2>
            <p className="text-[14px]">
              <Link to={`/bank?in=${collection.id}`} className="text-elder underline">
                {entries === 1 ? '1 entry' : `${entries.toLocaleString()} entries`}
              </Link>
            </p>
            <ul className="text-[14px]">
              {inside.map(({ id, name }) => (
                <li key={id}>
                  <Link to={`/collections/${id}`} className="hover:text-elder">
                    {name}
                  </Link>
                </li>
              ))}
            </ul>
            {keeps && <MakeCollection within={collection} />}
            {keeps && <HandOn collection={collection} />}
          </section>
          <CollectionHistory
            collection={collection}
            bringBack={keeps ? (settings) => setBroughtBack({ ...settings }) : null}
          />
          {keeps && !isRoot && (
            <Drop
              collection={collection}
              entries={[...all].reduce((sum, one) => sum + (counts[one] ?? 0), 0)}
              inside={all.size - 1}
            />
          )}
        </div>
      }
    >
      <header className="px-9 pt-6 max-[899px]:px-4">
        <Way around={aroundOf(collection, index.collections)} />
        <h1 className="font-book text-[26px] leading-tight break-words">{collection.name}</h1>
        <p className="text-[14px] text-soft">{rightInWords(collection)}</p>
      </header>
      {keeps ? (
        <CollectionSettingsForm collection={collection} broughtBack={broughtBack} />
      ) : (
        <p className="px-9 py-5 text-[14px] max-[899px]:px-4">
          Its cues begin with <span className="cue">{collection.leadIn || 'nothing'}</span>. It is in reach
          for {kinds.inWords(collection.kindsOfWork)}.
        </p>
      )}
    </Figure>
  );
}

/** A collection: its settings, who may do what, what is in it. */
export function CollectionPage() {
  const id = useParams().collection!;
  const bank = useBank();
  const index = useBankIndex();
  const collection = index?.collections.get(id);
  if (index && collection) return <Known key={id} collection={collection} index={index} />;
  if (index) return <NothingHere />;
  return <AwaitedScreen title="Collection" what="the collection" query={bank} />;
}
