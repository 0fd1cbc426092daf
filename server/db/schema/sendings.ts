/** Letters on their way out. */
import { sql } from 'drizzle-orm';
import { boolean, index, jsonb, pgTable, text, uniqueIndex } from 'drizzle-orm/pg-core';
import type { Mailbox } from '#core/mail';
import type { SendingState } from '#core/sending';
import { batchRows } from './batches';
import { cases, drafts } from './cases';
import { instant } from './instant';
import { members } from './people';

/** Each letter that somebody had sent, as it was then. */
export const sendings = pgTable(
  'sendings',
  {
    // In the message’s own id, too: sent twice after all, mail programs show it once.
    id: text('id').primaryKey(),
    member: text('member')
      .notNull()
      .references(() => members.id),
    // What it was written on may go away; that it was sent does not.
    draft: text('draft').references(() => drafts.id, { onDelete: 'set null' }),
    case: text('case').references(() => cases.id, { onDelete: 'set null' }),
    // The row of a batch that it is the letter of.
    row: text('row').references(() => batchRows.id, { onDelete: 'set null' }),
    to: jsonb('to').$type<Mailbox[]>().notNull(),
    cc: jsonb('cc').$type<Mailbox[]>().notNull(),
    subject: text('subject').notNull(),
    // How it begins, in plain words: colleagues see what was answered to the same sender.
    excerpt: text('excerpt').notNull().default(''),
    // The address it is from, which a mail server is told.
    from: text('from').notNull(),
    // The whole message of RFC 5322, in ASCII.
    message: text('message').notNull(),
    state: text('state').$type<SendingState>().notNull(),
    reason: text('reason').notNull(),
    byServer: boolean('by_server').notNull(),
    askedAt: instant('asked_at').notNull(),
    goesAt: instant('goes_at').notNull(),
    stateAt: instant('state_at').notNull(),
  },
  (table) => [
    index('sendings_by_member').on(table.member, table.askedAt),
    index('sendings_by_draft').on(table.draft),
    // Of a row one letter goes out, whatever two servers, two people or a page that tries again would have.
    uniqueIndex('sendings_of_a_row')
      .on(table.row)
      .where(sql`${table.state} <> 'taken-back'`),
    index('sendings_by_case').on(table.case),
    index('sendings_by_state').on(table.state, table.goesAt),
  ],
);
