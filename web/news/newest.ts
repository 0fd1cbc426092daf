/** The number of what is newest: on every page, which the news themselves need not be. */
export const NEWEST = 41;
