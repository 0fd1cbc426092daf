/** Submissions that were handed in with cases, and the assignments they belong to. */
import { index, integer, jsonb, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import type { Submission } from '#core/submission';
import type { AssignmentWork } from '#core/work';
import { cases } from './cases';
import { instant } from './instant';
import { members } from './people';

/** What is asked of a class in one piece of work. */
export const assignments = pgTable('assignments', {
  id: text('id').primaryKey(),
  work: jsonb('work').$type<AssignmentWork>().notNull(),
  version: integer('version').notNull(),
  madeBy: text('made_by')
    .notNull()
    .references(() => members.id),
  madeAt: instant('made_at').notNull(),
});

/** Whom each assignment is given to: its submissions are too. */
export const assignmentsGiven = pgTable(
  'assignments_given',
  {
    assignment: text('assignment')
      .notNull()
      .references(() => assignments.id, { onDelete: 'cascade' }),
    member: text('member')
      .notNull()
      .references(() => members.id, { onDelete: 'cascade' }),
  },
  (table) => [primaryKey({ columns: [table.assignment, table.member] })],
);

/** The cases of an assignment, each by whose work it is. */
export const assigned = pgTable(
  'assigned',
  {
    case: text('case')
      .primaryKey()
      .references(() => cases.id, { onDelete: 'cascade' }),
    assignment: text('assignment')
      .notNull()
      .references(() => assignments.id, { onDelete: 'cascade' }),
    person: text('person').notNull(),
  },
  (table) => [index('assigned_by_assignment').on(table.assignment)],
);

/** What was handed in with a case, as it was handed in last. */
export const submissions = pgTable('submissions', {
  case: text('case')
    .primaryKey()
    .references(() => cases.id, { onDelete: 'cascade' }),
  submission: jsonb('submission').$type<Submission>().notNull(),
  // What the file is called, and which of the case's files it is; null for one that was pasted.
  name: text('name').notNull(),
  file: text('file'),
  words: integer('words').notNull(),
  version: integer('version').notNull(),
  takenAt: instant('taken_at').notNull(),
});
