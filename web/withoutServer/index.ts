export { NotReached } from './NotReached';
export { useSendingWaiting } from './useSendingWaiting';
export { useSignOut } from './useSignOut';
