import type { Review } from '#contracts';
import { useBank, useBankIndex } from '../api';
import type { BankIndex } from '#core/bank';
import { Figure } from '../shell';
import { Button, Failed, Loading } from '../ui';
import { DueReviews } from './DueReviews';
import { FoundFacts } from './FoundFacts';
import { LongWork, useLongWork } from '../longWork';
import { useReviews } from './reviews';

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
        {(found) => <FoundFacts index={index} found={found} again={look} />}
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
