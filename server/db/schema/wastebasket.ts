/** What was deleted. */
import { pgTable, text } from 'drizzle-orm/pg-core';
import { instant } from './instant';
import { members } from './people';

/** What was deleted in one act, until the wastebasket is emptied of it: the rows themselves name it, and stay whole. */
export const deletions = pgTable('deletions', {
  id: text('id').primaryKey(),
  what: text('what', { enum: ['entries', 'collection', 'draft', 'glossary'] }).notNull(),
  title: text('title').notNull(),
  by: text('by')
    .notNull()
    .references(() => members.id),
  at: instant('at').notNull(),
});
