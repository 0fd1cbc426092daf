// What reads patterns is large: only the worker that looks for signs should fetch it.
export { SignFinder, MOST_PLACES } from './signFinder';
export type { EntrySigns, SignPlace } from './signFinder';
