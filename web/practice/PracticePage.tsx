import { useMemo } from 'react';
import { useBank, usePlaced, usePractised, useBankIndex } from '../api';
import { typedCue, type BankIndex } from '#core/bank';
import { Figure } from '../shell';
import { Failed, Loading } from '../ui';
import { Practice, type CueCard } from './Practice';

/** Entries in use that a typed cue brings, with what is known of each. */
function useCueCards(index: BankIndex | null): CueCard[] | null {
  const { data: placed } = usePlaced();
  const { data: practised } = usePractised();
  return useMemo(() => {
    if (!index || !placed || !practised) return null;
    const all = index.bank.entries.flatMap((entry): CueCard[] => {
      const collection = index.collections.get(entry.collection);
      const [cue] = entry.content.cues;
      if (!collection || !cue || cue.as || entry.content.retired || entry.varies) return [];
      return [
        {
          entry: entry.id,
          times: placed.mine[entry.id] ?? 0,
          lookedUp: placed.lookedUp[entry.id] ?? 0,
          known: practised.known[entry.id] ?? null,
          content: entry.content,
          collection,
          cue: typedCue(entry, collection)!,
        },
      ];
    });
    // Those of one's own work: what one has placed, and what one helps to keep.
    const mine = all.filter(({ times, collection }) => times > 0 || collection.right !== 'read');
    return mine.length > 0 ? mine : all;
  }, [index, placed, practised]);
}

/** Two minutes of learning one's cues: what one looks up most comes first, what one knows comes ever later. */
export function PracticePage() {
  const bank = useBank();
  const index = useBankIndex();
  const cards = useCueCards(index);
  return (
    <Figure
      marginLabel="About practice"
      margin={
        <div className="grid gap-3 pt-6 text-[14px] text-soft">
          <p>Two minutes at most. What you look up most comes first, then what you place most.</p>
          <p>
            A cue that you know comes again after a day, then two, four, eight. One that you do not know comes
            again at once.
          </p>
          <p>Only you see how well you know them.</p>
        </div>
      }
    >
      <h1 className="px-9 pt-6 pb-4 font-book text-[26px] leading-tight max-[899px]:px-4">Practise cues</h1>
      <div className="px-9 pb-8 max-[899px]:px-4">
        {bank.isError && <Failed what="the bank" error={bank.error} retry={() => void bank.refetch()} />}
        {!cards && !bank.isError && <Loading what="your cues" />}
        {cards && <Practice cards={cards} />}
      </div>
    </Figure>
  );
}
