/** What people say about entries to each other: notes, proposals, who has one open. */
import { bigserial, boolean, index, integer, jsonb, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import type { EntryContent } from '#core/entry';
import { entries } from './entries';
import { instant } from './instant';
import { members } from './people';

/** Faults and ideas about an entry, for its keepers. */
export const notes = pgTable(
  'notes',
  {
    id: text('id').primaryKey(),
    entry: text('entry')
      .notNull()
      .references(() => entries.id, { onDelete: 'cascade' }),
    text: text('text').notNull(),
    by: text('by')
      .notNull()
      .references(() => members.id),
    at: instant('at').notNull(),
    closed: boolean('closed').notNull().default(false),
    // The entry it was about, before that became this one.
    mergedFrom: text('merged_from'),
  },
  (table) => [index('notes_of_an_entry').on(table.entry), index('notes_of_a_member').on(table.by)],
);

/** Pages that have an entry open, each until it says so again or leaves. */
export const presences = pgTable(
  'presences',
  {
    page: text('page').primaryKey(),
    entry: text('entry')
      .notNull()
      .references(() => entries.id, { onDelete: 'cascade' }),
    member: text('member')
      .notNull()
      .references(() => members.id, { onDelete: 'cascade' }),
    until: instant('until').notNull(),
  },
  (table) => [index('presences_at_an_entry').on(table.entry)],
);

/** What was said to a note. */
export const noteAnswers = pgTable(
  'note_answers',
  {
    id: bigserial('id', { mode: 'number' }).primaryKey(),
    note: text('note')
      .notNull()
      .references(() => notes.id, { onDelete: 'cascade' }),
    text: text('text').notNull(),
    by: text('by')
      .notNull()
      .references(() => members.id),
    at: instant('at').notNull(),
  },
  (table) => [index('answers_to_a_note').on(table.note)],
);

/** Changes proposed by those who may not make them. */
export const proposals = pgTable(
  'proposals',
  {
    id: text('id').primaryKey(),
    entry: text('entry')
      .notNull()
      .references(() => entries.id, { onDelete: 'cascade' }),
    base: integer('base').notNull(),
    content: jsonb('content').$type<EntryContent>().notNull(),
    reason: text('reason').notNull(),
    proposedBy: text('proposed_by')
      .notNull()
      .references(() => members.id, { onDelete: 'cascade' }),
    proposedAt: instant('proposed_at').notNull(),
    state: text('state', { enum: ['open', 'accepted', 'declined', 'withdrawn'] }).notNull(),
    answer: text('answer').notNull().default(''),
    answeredBy: text('answered_by').references(() => members.id, { onDelete: 'set null' }),
  },
  (table) => [
    index('proposals_open_for_an_entry').on(table.state, table.entry),
    index('proposals_of_a_member').on(table.proposedBy, table.proposedAt),
  ],
);

/** Words of an entry that look like somebody's details and may stand all the same, with who said so and why. */
export const allowedDetails = pgTable(
  'allowed_details',
  {
    entry: text('entry')
      .notNull()
      .references(() => entries.id, { onDelete: 'cascade' }),
    words: text('words').notNull(),
    why: text('why').notNull(),
    by: text('by')
      .notNull()
      .references(() => members.id),
    at: instant('at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.entry, table.words] })],
);
