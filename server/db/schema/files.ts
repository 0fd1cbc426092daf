/** Files kept with a case: what each holds stands once, however often it was added. */
import { bigint, customType, index, integer, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import { cases, drafts } from './cases';
import { entries } from './entries';
import { instant } from './instant';
import { members } from './people';
import { deletions } from './wastebasket';

const bytes = customType<{ data: Uint8Array; driverData: Uint8Array }>({ dataType: () => 'bytea' });

/** What files hold, by its SHA-256: the bytes themselves lie beside the database, or in `file_pieces`. */
export const fileContents = pgTable('file_contents', {
  hash: text('hash').primaryKey(),
  bytes: bigint('bytes', { mode: 'number' }).notNull(),
  // What it is by what is in it, and not by what it is called.
  media: text('media').notNull(),
  since: instant('since').notNull(),
});

/**
 * Bytes of files in pieces, on a store that several servers have open. While a file comes in they are named by it coming in; then
 * by their hash.
 */
export const filePieces = pgTable(
  'file_pieces',
  {
    content: text('content').notNull(),
    at: integer('at').notNull(),
    bytes: bytes('bytes').notNull(),
    since: instant('since').notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.content, table.at] })],
);

/** Files kept with cases, by the names they have there. */
export const caseFiles = pgTable(
  'case_files',
  {
    id: text('id').primaryKey(),
    case: text('case')
      .notNull()
      .references(() => cases.id, { onDelete: 'cascade' }),
    hash: text('hash')
      .notNull()
      .references(() => fileContents.hash),
    name: text('name').notNull(),
    // Nobody's: it came along with a message.
    addedBy: text('added_by').references(() => members.id),
    addedAt: instant('added_at').notNull(),
    deletion: text('deletion').references(() => deletions.id),
  },
  (table) => [index('files_of_a_case').on(table.case), index('files_by_hash').on(table.hash)],
);

/** What was sent for an entry that is not saved yet, by whom: held for some days. */
export const waitingFiles = pgTable(
  'waiting_files',
  {
    hash: text('hash')
      .notNull()
      .references(() => fileContents.hash),
    member: text('member')
      .notNull()
      .references(() => members.id, { onDelete: 'cascade' }),
    since: instant('since').notNull(),
  },
  (table) => [primaryKey({ columns: [table.hash, table.member] })],
);

/** Files that any revision of an entry, or a change proposed for it, holds: none of them goes while the entry is there. */
export const entryFiles = pgTable(
  'entry_files',
  {
    entry: text('entry')
      .notNull()
      .references(() => entries.id, { onDelete: 'cascade' }),
    hash: text('hash')
      .notNull()
      .references(() => fileContents.hash),
    name: text('name').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.entry, table.hash] }),
    index('entry_files_by_hash').on(table.hash),
  ],
);

/** Files that go along with a draft: they stay with it whatever becomes of the entries they came with. */
export const draftFiles = pgTable(
  'draft_files',
  {
    draft: text('draft')
      .notNull()
      .references(() => drafts.id, { onDelete: 'cascade' }),
    hash: text('hash')
      .notNull()
      .references(() => fileContents.hash),
    name: text('name').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.draft, table.hash] }),
    index('draft_files_by_hash').on(table.hash),
  ],
);
