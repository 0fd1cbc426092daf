/** The queue of a team that answers: enquiries as they came in, and who answers which. */
import { date, index, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import { cases } from './cases';
import { instant } from './instant';
import { members } from './people';

/** Each enquiry that is in the queue. */
export const enquiries = pgTable(
  'enquiries',
  {
    case: text('case')
      .primaryKey()
      .references(() => cases.id, { onDelete: 'cascade' }),
    // Of its newest message: who wrote it, and how it begins.
    fromName: text('from_name').notNull(),
    fromAddress: text('from_address').notNull(),
    excerpt: text('excerpt').notNull(),
    language: text('language'),
    // Since when somebody waits for an answer.
    since: instant('since').notNull(),
    // `awaiting`: it was answered with a question, and their answer is awaited.
    state: text('state', { enum: ['open', 'awaiting', 'answered'] }).notNull(),
    takenBy: text('taken_by').references(() => members.id, { onDelete: 'set null' }),
    // Not to be shown among what is to be done before that day.
    putOffTo: date('put_off_to', { mode: 'string' }),
    // The enquiry that it became a part of.
    joinedTo: text('joined_to').references(() => cases.id, { onDelete: 'set null' }),
    changedAt: instant('changed_at').notNull(),
  },
  (table) => [index('enquiries_by_state').on(table.state, table.since)],
);

/** Messages that came in, each once, by what mail programs call them (or by what they hold), and the case each belongs to. */
export const messages = pgTable(
  'messages',
  {
    id: text('id').notNull(),
    case: text('case')
      .notNull()
      .references(() => cases.id, { onDelete: 'cascade' }),
    cameAt: instant('came_at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.id] }), index('messages_of_a_case').on(table.case)],
);

/** What colleagues say to each other of an enquiry. */
export const enquiryNotes = pgTable(
  'enquiry_notes',
  {
    id: text('id').primaryKey(),
    case: text('case')
      .notNull()
      .references(() => cases.id, { onDelete: 'cascade' }),
    by: text('by')
      .notNull()
      .references(() => members.id),
    at: instant('at').notNull(),
    text: text('text').notNull(),
  },
  (table) => [index('notes_of_an_enquiry').on(table.case, table.at)],
);
