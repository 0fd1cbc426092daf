/** Glossaries, and what was brought from them and the bank. */
import { boolean, date, integer, jsonb, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import { LETTERS_COUNTED, type LettersCounted } from '#core/glossary';
import type { Way } from '#core/savings';
import { instant } from './instant';
import { members } from './people';
import { deletions } from './wastebasket';

/** Lists of terms offered while one types. */
export const glossaries = pgTable('glossaries', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  language: text('language').notNull(),
  kindsOfWork: jsonb('kinds_of_work').$type<string[]>().notNull(),
  priority: integer('priority').notNull(),
  // Terms that are easily taken for each other are read back before they stand.
  careful: boolean('careful').notNull(),
  // Which letters of its terms find them.
  letters: jsonb('letters')
    .$type<LettersCounted[]>()
    .notNull()
    .default([...LETTERS_COUNTED]),
  // A list that comes with the pages and is not kept here: its name.
  shipped: text('shipped', { enum: ['english'] }),
  // Counts every change of the list or of its terms.
  version: integer('version').notNull(),
  // Which term list it has now, and how many terms are in it.
  list: text('list').notNull(),
  termCount: integer('term_count').notNull(),
  madeBy: text('made_by').references(() => members.id, { onDelete: 'set null' }),
  deletion: text('deletion').references(() => deletions.id),
});

/**
 * Lists of terms. A large import writes a list of its own, piece by piece while others go on with the one there is, and the
 * glossary then has that one. Lists that no glossary has are dropped, those that may still be being written after a day.
 */
export const termLists = pgTable('term_lists', {
  id: text('id').primaryKey(),
  begunAt: instant('begun_at').notNull(),
});

/** Terms of glossaries, each in the list that is in use or being written. */
export const terms = pgTable(
  'terms',
  {
    // Of `term_lists`; no foreign key, which would be looked up for each of 300,000 terms.
    list: text('list').notNull(),
    text: text('text').notNull(),
    cue: text('cue').notNull(),
    weight: integer('weight').notNull(),
    note: text('note').notNull(),
  },
  (table) => [primaryKey({ columns: [table.list, table.text] })],
);

/** In which ways a member brings entries to a leaf, counted by day: for themselves alone. */
export const waysBrought = pgTable(
  'ways_brought',
  {
    member: text('member')
      .notNull()
      .references(() => members.id, { onDelete: 'cascade' }),
    way: text('way').$type<Way>().notNull(),
    day: date('day', { mode: 'string' }).notNull(),
    times: integer('times').notNull(),
    // Keys and clicks that brought them.
    keys: integer('keys').notNull(),
  },
  (table) => [primaryKey({ columns: [table.member, table.way, table.day] })],
);

/** What was brought from the bank and the glossaries, counted by member, day and kind of work: numbers, no texts. */
export const uses = pgTable(
  'uses',
  {
    member: text('member')
      .notNull()
      .references(() => members.id, { onDelete: 'cascade' }),
    source: text('source', { enum: ['entry', 'term'] }).notNull(),
    // The entry's id, or the glossary's.
    list: text('list').notNull(),
    // Which of the glossary's terms; '' for an entry.
    term: text('term').notNull(),
    kind: text('kind').notNull(),
    day: date('day', { mode: 'string' }).notNull(),
    times: integer('times').notNull(),
    // Characters the reader sees that came from there, and keys pressed to bring, fill and mend them.
    shown: integer('shown').notNull(),
    pressed: integer('pressed').notNull(),
    // How often of these it was looked up in the finder instead of brought by its cue.
    lookedUp: integer('looked_up').notNull().default(0),
  },
  (table) => [
    primaryKey({
      columns: [table.member, table.source, table.list, table.term, table.kind, table.day],
    }),
  ],
);
