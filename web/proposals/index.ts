export { ProposalsOf } from './ProposalsOf';
