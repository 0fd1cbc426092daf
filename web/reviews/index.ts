export { ReviewOf } from './ReviewOf';
export { isDue, useReviews } from './reviews';
