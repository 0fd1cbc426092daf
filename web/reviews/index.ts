export { ReviewOf } from './ReviewOf';
export { ReviewsWaiting } from './ReviewsWaiting';
export { isDue, useReviews } from './reviews';
