/** What keeps the bank in order: words of the house, days of review; and what members practise of it. */
import { boolean, date, index, integer, jsonb, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import { entries } from './entries';
import { instant } from './instant';
import { members } from './people';

/** What is said in shared wording, instead of what, and why. */
export const houseWords = pgTable('house_words', {
  id: text('id').primaryKey(),
  // '' for every language.
  language: text('language').notNull(),
  use: text('use').notNull(),
  avoid: jsonb('avoid').$type<string[]>().notNull(),
  why: text('why').notNull(),
  together: boolean('together').notNull(),
  by: text('by')
    .notNull()
    .references(() => members.id),
  at: instant('at').notNull(),
});

/** When an entry is to be looked through again, and by whom. */
export const reviews = pgTable(
  'reviews',
  {
    entry: text('entry')
      .primaryKey()
      .references(() => entries.id, { onDelete: 'cascade' }),
    due: date('due', { mode: 'string' }).notNull(),
    keeper: text('keeper')
      .notNull()
      .references(() => members.id, { onDelete: 'cascade' }),
    // When it was last said to be right; null as long as nobody has.
    lookedAt: instant('looked_at'),
  },
  (table) => [index('reviews_due').on(table.due)],
);

/** How well a member knows the cue of an entry: in which box it is, and when it comes again. */
export const practised = pgTable(
  'practised',
  {
    member: text('member')
      .notNull()
      .references(() => members.id, { onDelete: 'cascade' }),
    entry: text('entry')
      .notNull()
      .references(() => entries.id, { onDelete: 'cascade' }),
    box: integer('box').notNull(),
    due: date('due', { mode: 'string' }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.member, table.entry] })],
);
