import { useMutation } from '@tanstack/react-query';
import { Link, useNavigate, useParams } from 'react-router';
import type { Collection } from '#contracts';
import { call, inWords } from '../api/client';
import { KEYS, queryClient, useBank } from '../api/queries';
import { useBankIndex, type BankIndex } from '../bank/bankIndex';
import { kindsInWords } from '../reach/kindsOfWork';
import { Figure } from '../shell/Figure';
import { NothingHere } from '../shell/NothingHere';
import { Button, Failed, Loading, Notice } from '../ui';
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

function Drop({ collection, isEmpty }: { collection: Collection; isEmpty: boolean }) {
  const navigate = useNavigate();
  const drop = useMutation({
    mutationFn: () =>
      call('dropCollection', { params: { collection: collection.id }, version: collection.version }),
    onSuccess: () => {
      void queryClient.invalidateQueries({ queryKey: KEYS.bank });
      void navigate('/bank');
    },
  });
  return (
    <div className="px-9 pb-6 max-[899px]:px-4">
      {isEmpty ? (
        <Button onClick={() => drop.mutate()} disabled={drop.isPending}>
          Delete this empty collection
        </Button>
      ) : (
        <p className="text-[13px] text-soft">It can be deleted once nothing is in it.</p>
      )}
      {drop.error && <Notice tone="warning" title={inWords(drop.error)} />}
    </div>
  );
}

function Known({ collection, index }: { collection: Collection; index: BankIndex }) {
  const inside = index.bank.collections.filter(({ parent }) => parent === collection.id);
  const entries = index.bank.entries.filter((entry) => entry.collection === collection.id).length;
  const keeps = collection.right === 'keep';
  const isRoot = collection.own && collection.parent === null;
  return (
    <Figure
      marginLabel="Sharing and what is in it"
      margin={
        <div className="grid gap-7 pt-6">
          <SharingPanel collection={collection} />
          <section aria-label="In it" className="grid gap-2">
            <h2 className="eyebrow">In it</h2>
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
          </section>
        </div>
      }
    >
      <header className="px-9 pt-6 max-[899px]:px-4">
        <Way around={aroundOf(collection, index.collections)} />
        <h1 className="font-book text-[26px] leading-tight break-words">{collection.name}</h1>
        <p className="text-[14px] text-soft">{rightInWords(collection)}</p>
      </header>
      {keeps ? (
        <CollectionSettingsForm collection={collection} />
      ) : (
        <p className="px-9 py-5 text-[14px] max-[899px]:px-4">
          Its cues begin with <span className="cue">{collection.leadIn || 'nothing'}</span>. It is in reach
          for {kindsInWords(collection.kindsOfWork)}.
        </p>
      )}
      {keeps && !isRoot && <Drop collection={collection} isEmpty={entries === 0 && inside.length === 0} />}
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
  if (bank.isError)
    return <Failed what="the collection" error={bank.error} retry={() => void bank.refetch()} />;
  return index ? <NothingHere /> : <Loading what="the collection" />;
}
