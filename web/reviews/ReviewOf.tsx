import { useState } from 'react';
import type { Review } from '#contracts';
import { dateInWords } from '#core/calendar';
import { inWords } from '#client/api';
import { useTeam } from '../api';
import { Button, Notice } from '../ui';
import { ReviewForm } from './ReviewForm';
import { isDue, nextDay, useGiveReview, useReviews } from './reviews';

type Set = (review: { due: string; keeper: string; looked: boolean } | null) => void;

/** What its keepers can do about the day. */
function Acts({ review, pending, set }: { review: Review | undefined; pending: boolean; set: Set }) {
  const [isOpen, setOpen] = useState(false);
  if (isOpen)
    return (
      <ReviewForm
        label="Set the day"
        due={review?.due}
        keeper={review?.keeper}
        pending={pending}
        give={(day) => {
          setOpen(false);
          set({ ...day, looked: false });
        }}
        cancel={() => setOpen(false)}
      />
    );
  return (
    <p className="flex flex-wrap gap-x-4">
      {review && isDue(review) && (
        <Button
          look="text"
          disabled={pending}
          onClick={() => set({ due: nextDay(), keeper: review.keeper, looked: true })}
        >
          It is still right
        </Button>
      )}
      <Button look="text" onClick={() => setOpen(true)}>
        {review ? 'Another day' : 'Set a review date'}
      </Button>
      {review && (
        <Button look="text" disabled={pending} onClick={() => set(null)}>
          No more reviews
        </Button>
      )}
    </p>
  );
}

/** Beside an entry: when it is looked through again, and by whom; quiet until that day has come. */
export function ReviewOf({ entry, keeps }: { entry: string; keeps: boolean }) {
  const { data } = useReviews();
  const { data: team } = useTeam();
  const give = useGiveReview();
  const review = data?.reviews.find((one) => one.entry === entry);
  if (!data || (!review && !keeps)) return null;
  const who = team?.members.find(({ id }) => id === review?.keeper)?.name;
  return (
    <section aria-label="Review" className="grid gap-2 text-[14px]">
      <h2 className="section-head">Review</h2>
      {review && (
        <p className={isDue(review) ? 'text-rust' : 'text-soft'}>
          {isDue(review) ? 'Due since ' : 'Again on '}
          {dateInWords(review.due, 'long', navigator.language)}
          {who && `, by ${who}`}
        </p>
      )}
      {give.error && <Notice tone="warning" title={inWords(give.error)} />}
      {keeps && (
        <Acts
          review={review}
          pending={give.isPending}
          set={(next) => give.mutate({ entries: [entry], review: next })}
        />
      )}
    </section>
  );
}
