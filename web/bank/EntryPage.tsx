import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useBank } from '../api/queries';
import { Figure } from '../shell/Figure';
import { Failed, Loading } from '../ui';
import { useBankIndex } from './bankIndex';
import { EntryLeaf } from './EntryLeaf';

/** An entry of the bank, or a new one at /bank/new. */
export function EntryPage() {
  const id = useParams().entry!;
  const bank = useBank();
  const index = useBankIndex();
  const [collection, setCollection] = useState<string | null>(null);
  if (!index) {
    return (
      <Figure marginLabel="Beside the entry" margin={null}>
        {bank.isError ? (
          <Failed what="the bank" error={bank.error} retry={() => void bank.refetch()} />
        ) : (
          <Loading what="the bank" />
        )}
      </Figure>
    );
  }
  if (id === 'new') {
    const keepable = index.bank.collections.filter(({ right }) => right === 'keep');
    const target = { collection: collection ?? keepable[0]?.id ?? '' };
    return <EntryLeaf key="new" index={index} target={target} setCollection={setCollection} />;
  }
  const entry = index.entries.get(id);
  if (entry) return <EntryLeaf key={id} index={index} target={{ entry }} setCollection={null} />;
  return (
    <Figure marginLabel="Beside the entry" margin={null}>
      <div className="px-9 py-8">
        <h1 className="font-book text-[26px]">No such entry</h1>
        <p className="mt-2 text-soft">It may have been removed, or its collection is not shared with you.</p>
        <Link to="/bank" className="mt-3 inline-block text-elder underline">
          Back to the bank
        </Link>
      </div>
    </Figure>
  );
}
