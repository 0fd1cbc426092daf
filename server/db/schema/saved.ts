import { text } from 'drizzle-orm/pg-core';
import { instant } from './instant';
import { members } from './people';

/** Columns of what is saved by someone, and why. */
export const saved = () => ({
  savedAt: instant('saved_at').notNull(),
  savedBy: text('saved_by')
    .notNull()
    .references(() => members.id),
  reason: text('reason').notNull(),
});
