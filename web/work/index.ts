export { ARRIVALS_OF_KINDS } from './shown';
export { endsIn } from './arrival';
export type { Arrival, Arrived, ArrivedCase, Dropped } from './arrival';
