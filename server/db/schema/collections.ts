/** Collections: where entries live, and who may do what there. */
import {
  boolean,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  unique,
  uuid,
  type AnyPgColumn,
} from 'drizzle-orm/pg-core';
import type { CollectionSettings } from '#contracts';
import type { CueMaking, CueRules } from '#core/cue';
import { members, groups } from './people';
import { saved } from './saved';
import { deletions } from './wastebasket';

/** Collections, each in the one around it. */
export const collections = pgTable('collections', {
  id: text('id').primaryKey(),
  // The collection it is in; its rights pass down to this one.
  parent: text('parent').references((): AnyPgColumn => collections.id),
  name: text('name').notNull(),
  // Set for a member's own collection, which nobody else sees.
  ownedBy: text('owned_by').references(() => members.id, { onDelete: 'cascade' }),
  leadIn: text('lead_in').notNull(),
  cueRules: jsonb('cue_rules').$type<CueRules>().notNull(),
  // The rule by which cues are proposed.
  cuesBy: text('cues_by').$type<CueMaking>().notNull().default('initials'),
  kindsOfWork: jsonb('kinds_of_work').$type<string[]>().notNull(),
  language: text('language').notNull(),
  // How titles are built here, in words; '' where it is not settled.
  titles: text('titles').notNull().default(''),
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
    ...saved(),
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

/**
 * One row, with another stamp whenever a collection's place, a grant or a group is another: triggers see to it (migration
 * 0008), so that nothing that changes them can forget to.
 */
export const reachStamp = pgTable('reach_stamp', {
  only: boolean('only').primaryKey().default(true),
  stamp: uuid('stamp').notNull().defaultRandom(),
});
