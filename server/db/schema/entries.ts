/** Entries with their history and cues. */
import { sql } from 'drizzle-orm';
import {
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  uniqueIndex,
  type AnyPgColumn,
} from 'drizzle-orm/pg-core';
import type { EntryContent } from '#core/entry';
import { collections } from './collections';
import { saved } from './saved';
import { deletions } from './wastebasket';

/** Entries at their newest revision. */
export const entries = pgTable(
  'entries',
  {
    id: text('id').primaryKey(),
    collection: text('collection')
      .notNull()
      .references(() => collections.id),
    revision: integer('revision').notNull(),
    content: jsonb('content').$type<EntryContent>().notNull(),
    ...saved(),
    // Which change of its collection saved it last.
    change: integer('change').notNull().default(0),
    deletion: text('deletion').references(() => deletions.id),
    // Entries that became this one: what refers to them means it.
    merged: jsonb('merged').$type<string[]>(),
    // The shared entry that it is used in place of, and the revision of that which it was made from or last held against.
    varies: text('varies').references((): AnyPgColumn => entries.id, { onDelete: 'set null' }),
    variesRevision: integer('varies_revision'),
  },
  (table) => [
    index('entries_by_collection').on(table.collection, table.change),
    uniqueIndex('entries_vary_once')
      .on(table.collection, table.varies)
      .where(sql`${table.deletion} is null`),
    index('entries_by_deletion').on(table.deletion),
  ],
);

/** Entries that went out of a collection, and by which of its changes: for pages that have them. */
export const departures = pgTable(
  'departures',
  {
    collection: text('collection')
      .notNull()
      .references(() => collections.id, { onDelete: 'cascade' }),
    entry: text('entry').notNull(),
    change: integer('change').notNull(),
  },
  (table) => [primaryKey({ columns: [table.collection, table.entry] })],
);

/** History, append-only: a row is never changed. */
export const revisions = pgTable(
  'revisions',
  {
    entry: text('entry')
      .notNull()
      .references(() => entries.id),
    revision: integer('revision').notNull(),
    content: jsonb('content').$type<EntryContent>().notNull(),
    ...saved(),
  },
  (table) => [primaryKey({ columns: [table.entry, table.revision] })],
);

/**
 * Entries that moved from one collection to another, and at which revision: what was saved before stays with those who could
 * see it where it was.
 */
export const entryMoves = pgTable(
  'entry_moves',
  {
    entry: text('entry')
      .notNull()
      .references(() => entries.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    // Named still when it is gone for good: then nobody could see it there.
    from: text('from_collection').notNull(),
  },
  (table) => [index('entry_moves_by_entry').on(table.entry)],
);

/** The cues of the entries' current revisions, so that the store itself refuses one that is taken. */
export const cues = pgTable(
  'cues',
  {
    collection: text('collection')
      .notNull()
      .references(() => collections.id, { onDelete: 'cascade' }),
    // In lower case: two cues that differ in case alone would clash.
    typed: text('typed').notNull(),
    entry: text('entry')
      .notNull()
      .references(() => entries.id, { onDelete: 'cascade' }),
  },
  (table) => [uniqueIndex('cues_once_in_a_collection').on(table.collection, table.typed)],
);
