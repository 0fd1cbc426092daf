import { useQuery } from '@tanstack/react-query';
import { useBank, houseWordsQuery, useBankIndex } from '../api';
import type { BankIndex } from '#core/bank';
import { Figure } from '../shell';
import { Button, Failed, Loading } from '../ui';
import { HouseWordList, type KeptHouseWord } from './HouseWordList';
import { LongWork, useLongWork } from '../longWork';
import { PlacesFound } from './PlacesFound';

function HouseWords({
  index,
  words,
  readAt,
  mayChange,
}: {
  index: BankIndex;
  words: readonly KeptHouseWord[];
  readAt: number;
  mayChange: boolean;
}) {
  const { working, start, stop } = useLongWork('saidOtherwise');
  const look = () => start(undefined);
  const found = working.state === 'done' ? working.result : null;
  const whyOf = new Map(words.map(({ id, why }) => [id, why]));
  return (
    <>
      <HouseWordList words={words} readAt={readAt} mayChange={mayChange} counts={found && found.counts} />
      <div className="flex items-center gap-4 border-t border-hair px-9 py-4 max-[899px]:px-4">
        <h2 className="grow font-book text-[19px]">Entries that differ</h2>
        <Button disabled={words.length === 0 || working.state === 'working'} onClick={look}>
          Check the bank
        </Button>
      </div>
      <LongWork what="Reading the shared wording" working={working} stop={stop}>
        {(result) => (
          <PlacesFound
            index={index}
            found={result}
            none={(entries) => `House style is followed in all ${entries}.`}
            reason="As house style has it"
            again={look}
            about={(place) => ('word' in place ? (whyOf.get(place.word as string) ?? '') : '')}
          />
        )}
      </LongWork>
    </>
  );
}

/** What is said in shared wording, instead of what, and why; and where the bank says otherwise. */
export function HouseWordsPage() {
  const bank = useBank();
  const index = useBankIndex();
  const words = useQuery(houseWordsQuery);
  const error = bank.error ?? words.error;
  return (
    <Figure
      marginLabel="About house style"
      margin={
        <div className="grid gap-3 pt-6 text-[14px] text-soft">
          <p>
            Terms you have settled are pointed out while an entry is written, with one step that mends them.
            Their plurals and other forms count too.
          </p>
          <p>
            Some terms are right alone and only confuse side by side: they are pointed out where an entry has
            two of them.
          </p>
          <p>Owners, and all who keep a shared collection, settle them. Changes are in the trail.</p>
        </div>
      }
    >
      <h1 className="px-9 pt-6 pb-3 font-book text-[26px] leading-tight max-[899px]:px-4">House style</h1>
      {error && (
        <Failed
          what="the house style"
          error={error}
          retry={() => void Promise.all([bank.refetch(), words.refetch()])}
        />
      )}
      {!error && (!index || !words.data) && <Loading what="the house style" />}
      {index && words.data && <HouseWords index={index} readAt={words.dataUpdatedAt} {...words.data} />}
    </Figure>
  );
}
