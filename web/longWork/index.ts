export { FoundSection } from './FoundSection';
export { LongWork } from './LongWork';
export { useLongWork } from './useLongWork';
