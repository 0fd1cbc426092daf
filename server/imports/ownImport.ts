import { and, desc, eq, sql } from 'drizzle-orm';
import type { Import } from '#contracts';
import { imports, importEntries, type Queries } from '../db';
import { notFound, Refusal } from '../http';

export type ImportRow = typeof imports.$inferSelect;

/** An import of the member's own, held until the transaction ends. Throws as for something that is not there where it is not theirs. */
export async function ownImport(
  tx: Queries,
  member: string,
  id: string,
  state: ImportRow['state'] | null,
): Promise<ImportRow> {
  const [row] = await tx
    .select()
    .from(imports)
    .where(and(eq(imports.id, id), eq(imports.by, member)))
    .for('update');
  if (!row) throw notFound();
  if (state !== null && row.state !== state)
    throw new Refusal(
      'not-valid',
      row.state === 'here' ? 'This import is finished already.' : 'This import is not in the bank.',
    );
  return row;
}

/** So many are told. */
const TOLD = 50;

/** Imports of a member as the API shows them, the newest first; one alone where it is named. */
export async function importsOf(db: Queries, member: string, only?: string): Promise<Import[]> {
  const rows = await db
    .select({
      row: imports,
      made: sql<number>`(select count(*)::int from ${importEntries} where ${importEntries.import} = ${imports.id} and ${importEntries.revision} = 1)`,
      changed: sql<number>`(select count(*)::int from ${importEntries} where ${importEntries.import} = ${imports.id} and ${importEntries.revision} > 1)`,
    })
    .from(imports)
    .where(and(eq(imports.by, member), only === undefined ? undefined : eq(imports.id, only)))
    .orderBy(desc(imports.at), desc(imports.id))
    .limit(TOLD);
  return rows.map(({ row: { id, name, state, at, collection }, made, changed }) => ({
    id,
    name,
    state,
    at: at.toISOString(),
    collection,
    made,
    changed,
  }));
}
