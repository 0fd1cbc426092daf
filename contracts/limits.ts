import { z } from 'zod';

/** The most bytes that a request of a member may have: larger ones are refused before they are read. */
export const MOST_SENT_BYTES = 4 * 1024 * 1024;

const [FIRST_YEAR, LAST_YEAR] = [1900, 2200];

/** A day, `YYYY-MM-DD`, of the years 1900 to 2200: others are slips of the keys, and some of them no store holds. */
export const storedDay = z.iso.date().refine((day) => {
  const year = Number(day.slice(0, 4));
  return year >= FIRST_YEAR && year <= LAST_YEAR;
}, `must be a day from ${FIRST_YEAR} to ${LAST_YEAR}`);

/** A moment, as storedDay is a day. */
export const storedInstant = z.iso.datetime().refine((instant) => {
  const year = Number(instant.slice(0, 4));
  return year >= FIRST_YEAR && year <= LAST_YEAR;
}, `must be a moment of the years ${FIRST_YEAR} to ${LAST_YEAR}`);

/** Which revision or version: a number that the store can hold, from 1. */
export const storedRevision = z.int32().min(1);
