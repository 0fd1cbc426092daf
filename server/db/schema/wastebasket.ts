/** What was deleted. */
import { boolean, pgTable, text } from 'drizzle-orm/pg-core';
import { instant } from './instant';
import { members } from './people';

/**
 * What was deleted in one act, until the wastebasket is emptied of it: the rows themselves name it, and stay whole. An import that is not
 * finished is one too: what has come of it is not there yet.
 */
export const deletions = pgTable('deletions', {
  id: text('id').primaryKey(),
  what: text('what', { enum: ['entries', 'collection', 'draft', 'glossary', 'file', 'import'] }).notNull(),
  title: text('title').notNull(),
  by: text('by')
    .notNull()
    .references(() => members.id),
  at: instant('at').notNull(),
});

/**
 * One row: when a server last looked at its clock, and when that was last found to have jumped. A clock that was set wrong must
 * not empty the wastebasket.
 */
export const serverClock = pgTable('server_clock', {
  only: boolean('only').primaryKey().default(true),
  seenAt: instant('seen_at').notNull(),
  jumpedAt: instant('jumped_at'),
});
