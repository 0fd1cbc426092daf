export { openMailbox } from './openMailbox';
