import { useState } from 'react';
import { Link } from 'react-router';
import type { Ageing, Review, ReviewGiven } from '#contracts';
import { dateInWords } from '#core/calendar';
import { useBank, useTeam, useBankIndex } from '../api';
import { inWords } from '#client/api';
import type { BankIndex } from '#core/bank';
import { Figure } from '../shell';
import { Button, Failed, Loading, Notice, Tick } from '../ui';
import { EntryHead, counted } from '../show';
import { Facts } from './Facts';
import { LongWork, useLongWork } from '../longWork';
import { ReviewForm } from './ReviewForm';
import { isDue, nextDay, useGiveReview, useReviews } from './reviews';

type Given = NonNullable<ReviewGiven['review']>;

interface LineProps {
  review: Review;
  index: BankIndex;
  who: string | undefined;
  right: () => void;
  pending: boolean;
}

function ReviewLine({ review, index, who, right, pending }: LineProps) {
  const { entry, title, collection, due } = review;
  const late = isDue(review);
  const keeps = index.collections.get(collection)?.right === 'keep';
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 border-b border-hair py-2">
      <span className="min-w-0 grow break-words">
        <Link to={`/bank/${entry}`} className="font-book text-[16px] text-ink">
          {title}
        </Link>{' '}
        <span className="text-[13px] text-soft">{index.collections.get(collection)?.name}</span>
      </span>
      <span className={`text-[14px] ${late ? 'text-rust' : 'text-soft'}`}>
        {late ? 'due since ' : ''}
        {dateInWords(due, 'long', navigator.language)}
        {who && `, ${who}`}
      </span>
      {keeps && late && (
        <Button look="text" aria-label={`${title} is still right`} disabled={pending} onClick={right}>
          Still right
        </Button>
      )}
    </li>
  );
}

const SHOWN = 12;

/** What is to be looked through, the most urgent first. */
function Due({ index, reviews }: { index: BankIndex; reviews: readonly Review[] }) {
  const { data: team } = useTeam();
  const give = useGiveReview();
  const [last, setLast] = useState<Review | null>(null);
  const [all, setAll] = useState(false);
  const shown = all ? reviews : reviews.slice(0, Math.max(SHOWN, reviews.filter(isDue).length));
  const set = ({ entry, keeper }: Review, due: string, looked: boolean) =>
    give.mutateAsync({ entries: [entry], review: { due, keeper, looked } });
  if (reviews.length === 0)
    return <p className="text-soft">No entry has a review date yet. Find facts that go out of date below.</p>;
  return (
    <>
      {give.error && <Notice tone="warning" title={inWords(give.error)} />}
      {last && (
        <Notice
          title={`“${last.title}” is due again on ${dateInWords(nextDay(), 'long', navigator.language)}.`}
        >
          <Button look="text" onClick={() => void set(last, last.due, false).then(() => setLast(null))}>
            Undo
          </Button>
        </Notice>
      )}
      <ul aria-label="Review dates">
        {shown.map((review) => (
          <ReviewLine
            key={review.entry}
            review={review}
            index={index}
            who={team?.members.find(({ id }) => id === review.keeper)?.name}
            pending={give.isPending}
            right={() => void set(review, nextDay(), true).then(() => setLast(review))}
          />
        ))}
      </ul>
      {shown.length < reviews.length && (
        <Button look="text" className="mt-2" onClick={() => setAll(true)}>
          Show all {reviews.length}
        </Button>
      )}
    </>
  );
}

/** Entries with facts that grow old: those ticked get a day, and a keeper, at once. */
function Found({ index, found, again }: { index: BankIndex; found: Ageing; again: () => void }) {
  const { entries, count, dated, read } = found;
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const give = useGiveReview();
  const [given, setGiven] = useState<readonly string[] | null>(null);
  const keeps = (collection: string) => index.collections.get(collection)?.right === 'keep';
  const taken = entries
    .map(({ entry }) => entry)
    .filter(({ id, collection }) => keeps(collection) && !left.has(id));
  const ids = taken.map(({ id }) => id);
  const giveAll = (review: Omit<Given, 'looked'>) =>
    give.mutate({ entries: ids, review: { ...review, looked: false } }, { onSuccess: () => setGiven(ids) });
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
        <Due index={index} reviews={reviews} />
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
