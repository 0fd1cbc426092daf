/** Batches: a table whose rows become letters. */
import { boolean, index, integer, jsonb, pgTable, text } from 'drizzle-orm/pg-core';
import type { BatchSetup } from '#core/batch';
import type { DraftDocument } from '#core/draft';
import { cases } from './cases';
import { instant } from './instant';

/** How the letters of a case are made of its rows. */
export const batches = pgTable('batches', {
  case: text('case')
    .primaryKey()
    .references(() => cases.id, { onDelete: 'cascade' }),
  setup: jsonb('setup').$type<BatchSetup>().notNull(),
  version: integer('version').notNull(),
});

/** Each row, and what was decided and done about its letter. */
export const batchRows = pgTable(
  'batch_rows',
  {
    // Made by who brings it: sent again, it is one row.
    id: text('id').primaryKey(),
    case: text('case')
      .notNull()
      .references(() => cases.id, { onDelete: 'cascade' }),
    position: integer('position').notNull(),
    cells: jsonb('cells').$type<string[]>().notNull(),
    // What its letter answers, where the row is somebody who asked.
    enquiry: text('enquiry').references(() => cases.id, { onDelete: 'set null' }),
    // The file of the case that the row is, where it is a document.
    file: text('file'),
    // Decided by hand, whatever the rules say.
    entry: text('entry'),
    isHeld: boolean('is_held').notNull(),
    // By what the letter that was checked is known.
    checked: text('checked'),
    // Changed by hand, and the letter it was changed from; or as it went out.
    document: jsonb('document').$type<DraftDocument>(),
    base: jsonb('base').$type<DraftDocument>(),
    // How it went out other than by mail, and when.
    gone: text('gone'),
    goneAt: instant('gone_at'),
    version: integer('version').notNull(),
  },
  (table) => [index('batch_rows_by_case').on(table.case, table.position)],
);
