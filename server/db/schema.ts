import {
  bigserial,
  boolean,
  date,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uniqueIndex,
  type AnyPgColumn,
} from 'drizzle-orm/pg-core';
import { sql } from 'drizzle-orm';
import type { Act, CollectionSettings, TeamSettings } from '#contracts';
import type { CueRules } from '#core/cue';
import type { DraftDocument } from '#core/draft';
import type { EntryContent } from '#core/entry';
import type { Preferences } from '#core/glossary';
import type { CaseRecord } from '#core/record';

const instant = (name: string) => timestamp(name, { withTimezone: true, mode: 'date' });

export const members = pgTable('members', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  email: text('email').notNull().unique(),
  job: text('job').notNull().default(''),
  // Wording may be signed with it.
  phone: text('phone').notNull().default(''),
  role: text('role', { enum: ['owner', 'member'] }).notNull(),
  // Null for demo members, who have no password and cannot sign in with one.
  passwordHash: text('password_hash'),
  createdAt: instant('created_at').notNull(),
  // Set for those who left the team: what they wrote keeps their name, and they cannot sign in.
  leftAt: instant('left_at'),
});

export const sessions = pgTable('sessions', {
  // SHA-256 of the token in the cookie: who reads the table cannot take over a session.
  tokenHash: text('token_hash').primaryKey(),
  member: text('member')
    .notNull()
    .references(() => members.id, { onDelete: 'cascade' }),
  createdAt: instant('created_at').notNull(),
  endsAt: instant('ends_at').notNull(),
  // About when it was last used, and by which browser: for its member to know it by.
  seenAt: instant('seen_at').notNull().defaultNow(),
  browser: text('browser').notNull().default(''),
});

/** Letters under way: who holds the token may do once what it is for. */
export const letters = pgTable('letters', {
  id: text('id').primaryKey(),
  // SHA-256 of the token in the letter's link: who reads the table cannot use it.
  tokenHash: text('token_hash').notNull().unique(),
  purpose: text('purpose', { enum: ['invitation', 'password'] }).notNull(),
  email: text('email').notNull(),
  // Of an invitation: what who joins begins with.
  name: text('name').notNull().default(''),
  role: text('role', { enum: ['owner', 'member'] })
    .notNull()
    .default('member'),
  groups: jsonb('groups').$type<string[]>().notNull().default([]),
  // Of a new password: whose.
  member: text('member').references(() => members.id, { onDelete: 'cascade' }),
  sentBy: text('sent_by').references(() => members.id, { onDelete: 'set null' }),
  sentAt: instant('sent_at').notNull(),
  endsAt: instant('ends_at').notNull(),
});

/** What was done to people, rights, wording and settings: who, when. Append-only. */
export const trail = pgTable(
  'trail',
  {
    id: bigserial('id', { mode: 'number' }).primaryKey(),
    at: instant('at').notNull(),
    by: text('by')
      .notNull()
      .references(() => members.id),
    act: text('act').$type<Act>().notNull(),
    // What it was done to, as it was called then, and what of it.
    subject: text('subject').notNull(),
    detail: text('detail').notNull(),
    // Set where only those who see the collection may know of it.
    collection: text('collection'),
  },
  (table) => [index('trail_by_time').on(table.at)],
);

/** Members who are granted things together. */
export const groups = pgTable('groups', {
  id: text('id').primaryKey(),
  name: text('name').notNull().unique(),
});

export const groupMembers = pgTable(
  'group_members',
  {
    group: text('group_id')
      .notNull()
      .references(() => groups.id, { onDelete: 'cascade' }),
    member: text('member')
      .notNull()
      .references(() => members.id, { onDelete: 'cascade' }),
  },
  (table) => [primaryKey({ columns: [table.group, table.member] })],
);

/** What was deleted in one act, until the wastebasket is emptied of it: the rows themselves name it, and stay whole. */
export const deletions = pgTable('deletions', {
  id: text('id').primaryKey(),
  what: text('what', { enum: ['entries', 'collection', 'draft'] }).notNull(),
  title: text('title').notNull(),
  by: text('by')
    .notNull()
    .references(() => members.id),
  at: instant('at').notNull(),
});

export const collections = pgTable('collections', {
  id: text('id').primaryKey(),
  // The collection it is in; its rights pass down to this one.
  parent: text('parent').references((): AnyPgColumn => collections.id),
  name: text('name').notNull(),
  // Set for a member's own collection, which nobody else sees.
  ownedBy: text('owned_by').references(() => members.id, { onDelete: 'cascade' }),
  leadIn: text('lead_in').notNull(),
  cueRules: jsonb('cue_rules').$type<CueRules>().notNull(),
  kindsOfWork: jsonb('kinds_of_work').$type<string[]>().notNull(),
  language: text('language').notNull(),
  position: integer('position').notNull().default(0),
  // Counts the changes of its entries, so that a page can ask for what it does not have yet.
  changes: integer('changes').notNull().default(0),
  // Counts the changes of its own settings, and apart from them those of its sharing.
  version: integer('version').notNull().default(1),
  sharingVersion: integer('sharing_version').notNull().default(1),
  deletion: text('deletion').references(() => deletions.id),
});

/** What a collection's keepers set, at each version. Append-only. */
export const collectionRevisions = pgTable(
  'collection_revisions',
  {
    collection: text('collection')
      .notNull()
      .references(() => collections.id, { onDelete: 'cascade' }),
    version: integer('version').notNull(),
    settings: jsonb('settings').$type<CollectionSettings>().notNull(),
    savedAt: instant('saved_at').notNull(),
    savedBy: text('saved_by')
      .notNull()
      .references(() => members.id),
    reason: text('reason').notNull(),
  },
  (table) => [primaryKey({ columns: [table.collection, table.version] })],
);

/** To a member, to a group, or, with neither, to the whole team. */
export const grants = pgTable(
  'grants',
  {
    collection: text('collection')
      .notNull()
      .references(() => collections.id, { onDelete: 'cascade' }),
    member: text('member').references(() => members.id, { onDelete: 'cascade' }),
    group: text('group_id').references(() => groups.id, { onDelete: 'cascade' }),
    right: text('right', { enum: ['none', 'read', 'contribute', 'keep'] }).notNull(),
  },
  (table) => [unique('grants_once').on(table.collection, table.member, table.group).nullsNotDistinct()],
);

export const entries = pgTable(
  'entries',
  {
    id: text('id').primaryKey(),
    collection: text('collection')
      .notNull()
      .references(() => collections.id),
    revision: integer('revision').notNull(),
    content: jsonb('content').$type<EntryContent>().notNull(),
    savedAt: instant('saved_at').notNull(),
    savedBy: text('saved_by')
      .notNull()
      .references(() => members.id),
    reason: text('reason').notNull(),
    // Which change of its collection saved it last.
    change: integer('change').notNull().default(0),
    deletion: text('deletion').references(() => deletions.id),
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

/** History, append-only: a row is never changed. */
export const revisions = pgTable(
  'revisions',
  {
    entry: text('entry')
      .notNull()
      .references(() => entries.id),
    revision: integer('revision').notNull(),
    content: jsonb('content').$type<EntryContent>().notNull(),
    savedAt: instant('saved_at').notNull(),
    savedBy: text('saved_by')
      .notNull()
      .references(() => members.id),
    reason: text('reason').notNull(),
  },
  (table) => [primaryKey({ columns: [table.entry, table.revision] })],
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

export const cases = pgTable('cases', {
  id: text('id').primaryKey(),
  kind: text('kind', { enum: ['admission', 'feedback', 'transcript', 'reply'] }).notNull(),
  title: text('title').notNull(),
  number: text('number'),
  summary: text('summary').notNull(),
  record: jsonb('record').$type<CaseRecord>().notNull(),
  openedAt: instant('opened_at').notNull(),
});

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
    state: text('state', { enum: ['open', 'finished'] }).notNull(),
    version: integer('version').notNull(),
    document: jsonb('document').$type<DraftDocument>().notNull(),
    excerpt: text('excerpt').notNull(),
    savedAt: instant('saved_at').notNull(),
    deletion: text('deletion').references(() => deletions.id),
  },
  (table) => [
    uniqueIndex('drafts_one_each')
      .on(table.case, table.author)
      .where(sql`${table.deletion} is null`),
  ],
);

/** Lists of terms offered while one types. */
export const glossaries = pgTable('glossaries', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  language: text('language').notNull(),
  kindsOfWork: jsonb('kinds_of_work').$type<string[]>().notNull(),
  priority: integer('priority').notNull(),
  // Terms that are easily taken for each other are read back before they stand.
  careful: boolean('careful').notNull(),
  // A list that comes with the pages and is not kept here: its name.
  shipped: text('shipped', { enum: ['english'] }),
  // Counts every change of the list or of its terms.
  version: integer('version').notNull(),
  madeBy: text('made_by').references(() => members.id, { onDelete: 'set null' }),
});

export const terms = pgTable(
  'terms',
  {
    glossary: text('glossary')
      .notNull()
      .references(() => glossaries.id, { onDelete: 'cascade' }),
    text: text('text').notNull(),
    cue: text('cue').notNull(),
    weight: integer('weight').notNull(),
    note: text('note').notNull(),
  },
  (table) => [primaryKey({ columns: [table.glossary, table.text] })],
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
  },
  (table) => [
    primaryKey({
      columns: [table.member, table.source, table.list, table.term, table.kind, table.day],
    }),
  ],
);

/** What owners set for the whole team: one row. */
export const teamSettings = pgTable('team_settings', {
  id: text('id', { enum: ['team'] }).primaryKey(),
  content: jsonb('content').$type<TeamSettings>().notNull(),
});

/** How a member likes to be offered things, and what they switched in or out of reach. */
export const preferences = pgTable('preferences', {
  member: text('member')
    .primaryKey()
    .references(() => members.id, { onDelete: 'cascade' }),
  content: jsonb('content').$type<Preferences>().notNull(),
});
