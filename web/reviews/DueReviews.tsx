import { useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Review } from '#contracts';
import { inWords } from '#client/api';
import type { BankIndex } from '#core/bank';
import { dateInWords } from '#core/calendar';
import { useTeam } from '../api';
import { Button, Notice, useFocusNext } from '../ui';
import { isDue, nextDay, useGiveReview } from './reviews';

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
export function DueReviews({ index, reviews }: { index: BankIndex; reviews: readonly Review[] }) {
  const { data: team } = useTeam();
  const give = useGiveReview();
  const [last, setLast] = useState<Review | null>(null);
  const [all, setAll] = useState(false);
  const shown = all ? reviews : reviews.slice(0, Math.max(SHOWN, reviews.filter(isDue).length));
  const undo = useRef<HTMLButtonElement>(null);
  const list = useRef<HTMLUListElement>(null);
  const focusNext = useFocusNext();
  const set = ({ entry, keeper }: Review, due: string, looked: boolean, onSuccess: () => void) =>
    give.mutate({ entries: [entry], review: { due, keeper, looked } }, { onSuccess });
  // What was pressed goes once it is done: the keys go to what takes it back, and from there to the list again.
  const say = (review: Review) =>
    set(review, nextDay(), true, () => {
      focusNext(() => undo.current);
      setLast(review);
    });
  const takeBack = (review: Review) =>
    set(review, review.due, false, () => {
      focusNext(() => list.current?.querySelector<HTMLElement>('a, button'));
      setLast(null);
    });
  if (reviews.length === 0)
    return <p className="text-soft">No entry has a review date yet. Find facts that go out of date below.</p>;
  return (
    <>
      {give.error && <Notice tone="warning" title={inWords(give.error)} />}
      {last && (
        <Notice
          title={`“${last.title}” is due again on ${dateInWords(nextDay(), 'long', navigator.language)}.`}
        >
          <Button ref={undo} look="text" disabled={give.isPending} onClick={() => takeBack(last)}>
            Undo
          </Button>
        </Notice>
      )}
      <ul ref={list} aria-label="Review dates">
        {shown.map((review) => (
          <ReviewLine
            key={review.entry}
            review={review}
            index={index}
            who={team?.members.find(({ id }) => id === review.keeper)?.name}
            pending={give.isPending}
            right={() => say(review)}
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
