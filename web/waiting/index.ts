export { useWaiting } from './useWaiting';
export { WaitingList } from './WaitingList';
