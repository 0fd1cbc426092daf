/** Long work that goes on without a page. */
import { sql } from 'drizzle-orm';
import { boolean, index, jsonb, pgTable, real, text, uniqueIndex } from 'drizzle-orm/pg-core';
import { instant } from './instant';
import { members } from './people';

/** Long work: what was asked, how far it is, what came of it. */
export const jobs = pgTable(
  'jobs',
  {
    id: text('id').primaryKey(),
    member: text('member')
      .notNull()
      .references(() => members.id, { onDelete: 'cascade' }),
    // The route it answers, and what it was asked.
    work: text('work').notNull(),
    asked: jsonb('asked'),
    state: text('state', { enum: ['working', 'done', 'failed', 'stopped'] }).notNull(),
    // How far it is, from 0 to 1.
    progress: real('progress').notNull().default(0),
    // What came of it, with the rights it was worked out under; whether a page was there to see it.
    result: jsonb('result'),
    stamp: text('stamp').notNull().default(''),
    seen: boolean('seen').notNull().default(false),
    begunAt: instant('begun_at').notNull(),
    // When the process that does it last said that it does.
    beatAt: instant('beat_at').notNull(),
    endedAt: instant('ended_at'),
  },
  (table) => [
    // Of each work a member has one under way, whichever process does it.
    uniqueIndex('one_job_of_a_work')
      .on(table.member, table.work)
      .where(sql`state = 'working'`),
    index('jobs_of_a_member').on(table.member, table.work, table.begunAt),
  ],
);
