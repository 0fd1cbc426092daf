import { useMutation, useQuery } from '@tanstack/react-query';
import type { Review, ReviewGiven } from '#contracts';
import { addMonths } from '#core/calendar';
import { call } from '#client/api';
import { KEYS, queryClient } from '../api';
import { calendarToday } from '#client/clock';

/** So many months go by until an entry is looked through again, unless another day is given. */
const MONTHS = 6;

/** The day that is proposed for the next look. */
export const nextDay = () => addMonths(calendarToday(), MONTHS);

/** When entries are to be looked through again. */
export const useReviews = () => useQuery({ queryKey: KEYS.reviews, queryFn: () => call('reviews') });

/** Whether an entry is to be looked through by now. */
export const isDue = ({ due }: Pick<Review, 'due'>) => due <= calendarToday();

/** Gives entries a day of review, or takes it away. */
export const useGiveReview = () =>
  useMutation({
    mutationFn: (given: ReviewGiven) => call('giveReview', { body: given }),
    onSettled: () => queryClient.invalidateQueries({ queryKey: KEYS.reviews }),
  });
