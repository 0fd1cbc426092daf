/** What entries are found by. */
import { customType, index, integer, pgTable, text } from 'drizzle-orm/pg-core';
import { entries } from './entries';

const tsvector = customType<{ data: string }>({ dataType: () => 'tsvector' });

/**
 * The words of each entry in their plain form. Beside them stands `@` with the id of its collection, so that one index finds
 * what has the words in the collections one sees.
 */
export const entryWords = pgTable(
  'entry_words',
  {
    entry: text('entry')
      .primaryKey()
      .references(() => entries.id, { onDelete: 'cascade' }),
    // Beside them: to look it up in the entries would take longer than to find the words.
    collection: text('collection').notNull(),
    // Of title, cues and tags; and of everything.
    head: tsvector('head').notNull(),
    words: tsvector('words').notNull(),
  },
  (table) => [
    // At once, not in batches: what waits for its batch is read through by every search.
    index('entry_words_head').using('gin', table.head).with({ fastupdate: false }),
    index('entry_words_all').using('gin', table.words).with({ fastupdate: false }),
  ],
);

/** Every word that stands, or stood, in the bank: for what was meant by a misspelt one. */
export const vocabulary = pgTable(
  'vocabulary',
  {
    word: text('word').primaryKey(),
    initial: text('initial').notNull(),
    length: integer('length').notNull(),
  },
  (table) => [index('vocabulary_by_initial').on(table.initial, table.length)],
);
