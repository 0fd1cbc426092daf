/** Members, how they sign in, their groups, what they and the team have set, and the trail. */
import { bigserial, index, jsonb, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import type { Act, TeamSettings } from '#contracts';
import type { Preferences } from '#core/glossary';
import { instant } from './instant';

/** Members of the team, those who left too. */
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

/** Where members are signed in. */
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
  // What its token may do: all that its member may, or read the bank and count uses as the companion of a browser.
  scope: text('scope', { enum: ['whole', 'companion'] })
    .notNull()
    .default('whole'),
  // What the member calls the browser that was joined.
  name: text('name').notNull().default(''),
});

/** Codes that join a browser to a member, once and for some minutes: one a member. */
export const browserCodes = pgTable('browser_codes', {
  member: text('member')
    .primaryKey()
    .references(() => members.id, { onDelete: 'cascade' }),
  // SHA-256 of the code: who reads the table cannot use it.
  codeHash: text('code_hash').notNull().unique(),
  endsAt: instant('ends_at').notNull(),
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
    // As they called themselves then; null in lines written before this was kept.
    byName: text('by_name'),
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

/** Who is in which group. */
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
