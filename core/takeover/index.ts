export { compareArriving, settleCues } from './compareArriving';
export type { Arrival, Arriving, SettledCues, Standing } from './compareArriving';
