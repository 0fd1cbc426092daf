/** Cases and the drafts written of them. */
import { index, integer, jsonb, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import type { DraftDocument } from '#core/draft';
import type { DraftStateWhy } from '#contracts';
import type { CaseRecord } from '#core/record';
import type { KindId } from '#core/work';
import { instant } from './instant';
import { members } from './people';
import { deletions } from './wastebasket';

/** Cases: what kind, what it is called, its record. */
export const cases = pgTable('cases', {
  id: text('id').primaryKey(),
  kind: text('kind').$type<KindId>().notNull(),
  title: text('title').notNull(),
  number: text('number'),
  summary: text('summary').notNull(),
  record: jsonb('record').$type<CaseRecord>().notNull(),
  openedAt: instant('opened_at').notNull(),
  // Closed it is off the desk of all it is given to, and found there by asking.
  closedAt: instant('closed_at'),
});

/** Whom each case is given to. */
export const casesGiven = pgTable(
  'cases_given',
  {
    case: text('case')
      .notNull()
      .references(() => cases.id, { onDelete: 'cascade' }),
    member: text('member')
      .notNull()
      .references(() => members.id, { onDelete: 'cascade' }),
  },
  (table) => [primaryKey({ columns: [table.case, table.member] })],
);

/** Texts being written of cases, each its author’s own. */
export const drafts = pgTable(
  'drafts',
  {
    id: text('id').primaryKey(),
    case: text('case')
      .notNull()
      .references(() => cases.id, { onDelete: 'cascade' }),
    author: text('author')
      .notNull()
      .references(() => members.id),
    // What its author calls it; '' for by what is written on it.
    title: text('title').notNull(),
    begunAt: instant('begun_at').notNull(),
    state: text('state', { enum: ['open', 'finished'] }).notNull(),
    version: integer('version').notNull(),
    document: jsonb('document').$type<DraftDocument>().notNull(),
    excerpt: text('excerpt').notNull(),
    // All of its text without its form, to be found by.
    words: text('words').notNull(),
    savedAt: instant('saved_at').notNull(),
    deletion: text('deletion').references(() => deletions.id),
  },
  (table) => [index('drafts_of_a_case').on(table.case, table.author)],
);

/** Earlier states of a draft, to look into and bring back: some minutes apart, a bounded number of each. */
export const draftStates = pgTable(
  'draft_states',
  {
    id: text('id').primaryKey(),
    draft: text('draft')
      .notNull()
      .references(() => drafts.id, { onDelete: 'cascade' }),
    at: instant('at').notNull(),
    why: text('why').$type<DraftStateWhy>().notNull(),
    document: jsonb('document').$type<DraftDocument>().notNull(),
    excerpt: text('excerpt').notNull(),
  },
  (table) => [index('draft_states_by_draft').on(table.draft, table.at)],
);

/** In finished drafts: which entry came after which, in the order of the text. */
export const followings = pgTable(
  'followings',
  {
    draft: text('draft')
      .notNull()
      .references(() => drafts.id, { onDelete: 'cascade' }),
    position: integer('position').notNull(),
    // Null for what comes first in a text.
    before: text('before'),
    after: text('after').notNull(),
  },
  (table) => [primaryKey({ columns: [table.draft, table.position] })],
);

/** Phrases of drafts that a member does not want to be told of as worth banking, by their plain words. */
export const ignoredPhrases = pgTable(
  'ignored_phrases',
  {
    member: text('member')
      .notNull()
      .references(() => members.id, { onDelete: 'cascade' }),
    phrase: text('phrase').notNull(),
  },
  (table) => [primaryKey({ columns: [table.member, table.phrase] })],
);
