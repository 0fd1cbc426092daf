import { useRef, useState } from 'react';
import type { Ageing, Review, ReviewGiven } from '#contracts';
import { useBank, useBankIndex } from '../api';
import { inWords } from '#client/api';
import type { BankIndex } from '#core/bank';
import { Figure } from '../shell';
import { Button, Failed, Loading, Notice, Tick, useFocusNext } from '../ui';
import { EntryHead, counted } from '../show';
import { DueReviews } from './DueReviews';
import { Facts } from './Facts';
import { LongWork, useLongWork } from '../longWork';
import { ReviewForm } from './ReviewForm';
import { useGiveReview, useReviews } from './reviews';

type Given = NonNullable<ReviewGiven['review']>;

/** Entries with facts that grow old: those ticked get a day, and a keeper, at once. */
function Found({ index, found, again }: { index: BankIndex; found: Ageing; again: () => void }) {
  const { entries, count, dated, read } = found;
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const give = useGiveReview();
  const [given, setGiven] = useState<readonly string[] | null>(null);
  const undo = useRef<HTMLButtonElement>(null);
  const focusNext = useFocusNext();
  const keeps = (collection: string) => index.collections.get(collection)?.right === 'keep';
  const taken = entries
    .map(({ entry }) => entry)
    .filter(({ id, collection }) => keeps(collection) && !left.has(id));
  const ids = taken.map(({ id }) => id);
  const giveAll = (review: Omit<Given, 'looked'>) =>
    give.mutate(
      { entries: ids, review: { ...review, looked: false } },
      {
        onSuccess: () => {
          // The form goes with what it was for.
          focusNext(() => undo.current);
          setGiven(ids);
        },
      },
    );
  const toggle = (id: string) =>
    setLeft(new Set(left.has(id) ? [...left].filter((one) => one !== id) : [...left, id]));
  return (
    <div className="px-9 max-[899px]:px-4">
      <p role="status" className="py-2 text-[14px] text-soft">
        Of {counted(read, 'entry', 'entries')} {count === 0 ? 'none has' : `${counted(count, 'has', 'have')}`}{' '}
        facts that go out of date and no review date
        {dated > 0 && `; ${counted(dated, 'entry has', 'entries have')} one`}
        {count > entries.length && `. The first ${entries.length} are shown`}.
      </p>
      {give.error && <Notice tone="warning" title={inWords(give.error)} />}
      {given ? (
        <Notice title={`${counted(given.length, 'entry has', 'entries have')} a review date now.`}>
          <Button
            ref={undo}
            look="text"
            onClick={() =>
              give.mutate({ entries: [...given], review: null }, { onSuccess: () => setGiven(null) })
            }
          >
            Undo
          </Button>{' '}
          <Button look="text" onClick={again}>
            Check again
          </Button>
        </Notice>
      ) : (
        ids.length > 0 && (
          <ReviewForm
            label={`Give ${counted(ids.length, 'entry', 'entries')} this day`}
            pending={give.isPending}
            give={giveAll}
          />
        )
      )}
      {!given && (
        <ul className="pt-2">
          {entries.map(({ entry, facts }) => (
            <li key={entry.id} className="border-t border-hair py-3">
              <EntryHead index={index} entry={entry}>
                {keeps(entry.collection) && (
                  <Tick on={!left.has(entry.id)} toggle={() => toggle(entry.id)}>
                    <span className="sr-only">Give {entry.content.title} a day</span>
                  </Tick>
                )}
              </EntryHead>
              <Facts content={entry.content} facts={facts} />
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function AgeingIn({ index, reviews }: { index: BankIndex; reviews: readonly Review[] }) {
  const { working, start, stop } = useLongWork('ageing');
  const look = () => start(undefined);
  return (
    <>
      <div className="px-9 pb-6 max-[899px]:px-4">
        <DueReviews index={index} reviews={reviews} />
      </div>
      <div className="flex items-center gap-4 border-t border-hair px-9 py-4 max-[899px]:px-4">
        <h2 className="grow font-book text-[19px]">Facts that go out of date</h2>
        <Button disabled={working.state === 'working'} onClick={look}>
          Find facts
        </Button>
      </div>
      <LongWork what="Reading the shared wording" working={working} stop={stop}>
        {(found) => <Found index={index} found={found} again={look} />}
      </LongWork>
    </>
  );
}

/** What in the bank grows old: what is due to be looked through, and what should have a day for it. */
export function AgeingPage() {
  const bank = useBank();
  const index = useBankIndex();
  const reviews = useReviews();
  const error = bank.error ?? reviews.error;
  return (
    <Figure
      marginLabel="About reviews"
      margin={
        <div className="grid gap-3 pt-6 text-[14px] text-soft">
          <p>
            Prices, hours, dates, links, phone numbers and names are right today and wrong one day. With a
            review date, one of the entry’s keepers is reminded to check it.
          </p>
          <p>Only the form of a link is checked. No page is fetched, so one that has gone is not noticed.</p>
        </div>
      }
    >
      <h1 className="px-9 pt-6 pb-3 font-book text-[26px] leading-tight max-[899px]:px-4">Due for review</h1>
      {error && (
        <Failed
          what="the review dates"
          error={error}
          retry={() => void Promise.all([bank.refetch(), reviews.refetch()])}
        />
      )}
      {!error && (!index || !reviews.data) && <Loading what="the review dates" />}
      {index && reviews.data && <AgeingIn index={index} reviews={reviews.data.reviews} />}
    </Figure>
  );
}
