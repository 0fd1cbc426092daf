import { and, eq, lt, notExists, sql } from 'drizzle-orm';
import type { Context } from '../context';
import { caseFiles, draftFiles, entryFiles, fileContents, waitingFiles } from '../db';

const HOUR_MS = 3_600_000;
/** What began to come in so long ago never comes to its end. */
const STAGED_MS = 24 * HOUR_MS;

/** For so long a file waits for the entry that it was sent for. */
const WAITING_MS = 14 * 24 * HOUR_MS;
/** Where files are named: what none of these names is needed by nobody. */
const NAMING = [caseFiles, entryFiles, draftFiles, waitingFiles] as const;

/**
 * Lets go of what files hold that nothing names any more, and of what began to come in and never ended. Returns how many files'
 * contents went.
 */
export async function dropUnusedFiles({ db, files, now }: Context): Promise<number> {
  const before = (ms: number) => new Date(now().getTime() - ms);
  await files.dropStaged(before(STAGED_MS));
  await db.delete(waitingFiles).where(lt(waitingFiles.since, before(WAITING_MS)));
  const isNamed = NAMING.map((table) =>
    notExists(
      db
        .select({ one: sql`1` })
        .from(table)
        .where(eq(table.hash, fileContents.hash)),
    ),
  );
  const unused = and(lt(fileContents.since, before(HOUR_MS)), ...isNamed);
  const found = await db.select({ hash: fileContents.hash }).from(fileContents).where(unused);
  let gone = 0;
  for (const { hash } of found) {
    await db.transaction(async (tx) => {
      // Asked once more with its row held: it may have been named meanwhile.
      const [row] = await tx
        .select({ hash: fileContents.hash })
        .from(fileContents)
        .where(and(eq(fileContents.hash, hash), unused))
        .for('update', { skipLocked: true });
      if (!row) return;
      await tx.delete(fileContents).where(eq(fileContents.hash, hash));
      await files.drop(hash, tx);
      gone += 1;
    });
  }
  return gone;
}
