export { Player, SPEEDS, type PlayerState } from './player';
