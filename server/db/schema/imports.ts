/** Imports: many entries brought in as one act. */
import { index, integer, jsonb, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import type { EntryContent } from '#core/entry';
import { instant } from './instant';
import { members } from './people';

/** What was brought in at once. Until it is finished its entries and collections name it as their deletion. */
export const imports = pgTable(
  'imports',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    by: text('by')
      .notNull()
      .references(() => members.id),
    at: instant('at').notNull(),
    state: text('state', { enum: ['arriving', 'here', 'undone'] }).notNull(),
    // Where entries go, by the ids that collections have in the file; the first of them; and those that it makes, from the top down.
    places: jsonb('places').$type<Record<string, string>>().notNull(),
    collection: text('collection').notNull(),
    collectionsMade: jsonb('collections_made').$type<string[]>().notNull(),
  },
  (table) => [index('imports_by_member').on(table.by, table.at)],
);

/** Entries of an import, and at which revision it left them; what one becomes that was here before is kept until it is finished. */
export const importEntries = pgTable(
  'import_entries',
  {
    import: text('import')
      .notNull()
      .references(() => imports.id, { onDelete: 'cascade' }),
    entry: text('entry').notNull(),
    revision: integer('revision').notNull(),
    content: jsonb('content').$type<EntryContent>(),
  },
  (table) => [primaryKey({ columns: [table.import, table.entry] })],
);
