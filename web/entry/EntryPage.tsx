import { useState } from 'react';
import { useLocation, useParams } from 'react-router';
import { useAtHand, useBank, useEntriesAtHand, useBankIndex } from '../api';
import { AwaitedScreen } from '../shell';
import { EntryLeaf } from './EntryLeaf';
import { NotThere } from './NotThere';

/** An entry of the bank, or a new one at /bank/new. */
export function EntryPage() {
  const id = useParams().entry!;
  const bank = useBank();
  const index = useBankIndex();
  const isHere = useEntriesAtHand(id === 'new' ? [] : [id]);
  const [collection, setCollection] = useState<string | null>(
    (useLocation().state as { collection?: string } | null)?.collection ?? null,
  );
  const place = id === 'new' ? collection : index?.entries.get(id)?.collection;
  // Beside what is being written stand its neighbours: their cues must not be taken.
  useAtHand(place ? [place] : []);
  if (!index || !isHere) {
    return <AwaitedScreen title="Entry" what="the entry" query={bank} />;
  }
  if (id === 'new') {
    const keepable = index.bank.collections.filter(({ right }) => right === 'keep');
    const target = { collection: collection ?? keepable[0]?.id ?? '' };
    return <EntryLeaf key="new" index={index} target={target} setCollection={setCollection} />;
  }
  const entry = index.entries.get(id);
  if (entry) return <EntryLeaf key={id} index={index} target={{ entry }} setCollection={null} />;
  return <NotThere key={id} id={id} index={index} />;
}
