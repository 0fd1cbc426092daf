export { ARRIVALS_OF_KINDS } from './shown';
export { BesideDesk } from './BesideDesk';
export { endsIn } from './arrival';
export type { Arrival, Arrived, ArrivedCase, Dropped } from './arrival';
