/** Trays: files that wait for names. The files themselves are not here, but where somebody keeps copies of them with the case. */
import { bigint, index, integer, jsonb, pgTable, text } from 'drizzle-orm/pg-core';
import type { DraftDocument } from '#core/draft';
import type { TraySetup, WayRenamed } from '#core/naming';
import { cases } from './cases';
import { instant } from './instant';

/** How the files of a case are named. */
export const trays = pgTable('trays', {
  case: text('case')
    .primaryKey()
    .references(() => cases.id, { onDelete: 'cascade' }),
  setup: jsonb('setup').$type<TraySetup>().notNull(),
  version: integer('version').notNull(),
});

/** Each file, and what it is to be called. */
export const trayLines = pgTable(
  'tray_lines',
  {
    // Made by who brings it: sent again, it is one line.
    id: text('id').primaryKey(),
    case: text('case')
      .notNull()
      .references(() => cases.id, { onDelete: 'cascade' }),
    position: integer('position').notNull(),
    // The folder below the one that was opened, with slashes; '' for that one.
    folder: text('folder').notNull(),
    // Its name as it came, with its size and when it was changed: by these it is known again.
    name: text('name').notNull(),
    bytes: bigint('bytes', { mode: 'number' }).notNull(),
    changed: instant('changed').notNull(),
    // The file of the case that is a copy of it, where one is kept.
    file: text('file'),
    // The new name as it is written, with its blanks, and the words it reads.
    document: jsonb('document').$type<DraftDocument>(),
    words: text('words').notNull(),
    // What was answered, by the names of fields: offered for the files that come next.
    said: jsonb('said').$type<Record<string, string>>().notNull(),
    // The whole new name, once its writer is done with it.
    newName: text('new_name'),
    namedAt: instant('named_at'),
    // How the file came to that name, and when.
    renamed: text('renamed').$type<WayRenamed>(),
    renamedAt: instant('renamed_at'),
    version: integer('version').notNull(),
  },
  (table) => [index('tray_lines_by_case').on(table.case, table.position)],
);
