export { Player, SPEEDS, type MediaLike, type PlayerState } from './player';
