import { timestamp } from 'drizzle-orm/pg-core';

/** A column for a moment in time, in no time zone. */
export const instant = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });
