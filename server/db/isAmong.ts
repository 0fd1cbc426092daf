import { sql, type SQL } from 'drizzle-orm';
import type { PgColumn } from 'drizzle-orm/pg-core';

/**
 * That a column has one of some values. They go to the store as one value, JSON: with a parameter for each, thousands take long to put
 * together and to read, more than 65,535 are refused, and each count of them is another statement.
 */
export const isAmong = (column: PgColumn, values: readonly string[]): SQL =>
  sql`${column} in (select jsonb_array_elements_text(${JSON.stringify(values)}::jsonb))`;
