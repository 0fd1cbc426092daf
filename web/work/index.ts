export { ARRIVALS_OF_KINDS } from './shown';
export { BesideDesk } from './BesideDesk';
export { useCaseGroups } from './useCaseGroups';
export type { CaseGroup } from './caseGroup';
export { endsIn, titleFrom } from './arrival';
export { useDocumentWorks } from './useDocumentWorks';
export type { Arrival, Arrived, ArrivedCase, DocumentWork, Dropped } from './arrival';
