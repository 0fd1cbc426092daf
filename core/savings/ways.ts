/** The ways in which an entry is brought to a leaf: its typed cue, its keys, an offer taken, the look-up, a click on it in the margin. */
export const WAYS = ['cue', 'keys', 'offer', 'look-up', 'click'] as const;
export type Way = (typeof WAYS)[number];

/** What a count of placements by one way says: how many there were, and how many keys and clicks brought them in all. */
export interface WayCount {
  way: Way;
  times: number;
  keys: number;
}
