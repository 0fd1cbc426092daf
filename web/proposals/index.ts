export { ProposalsOf } from './ProposalsOf';
export { ProposalsWaiting } from './ProposalsWaiting';
