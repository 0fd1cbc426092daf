import { and, eq, lt, notExists, sql } from 'drizzle-orm';
import type { Context } from '../context';
import { caseFiles, fileContents } from '../db';

const HOUR_MS = 3_600_000;
/** What began to come in so long ago never comes to its end. */
const STAGED_MS = 24 * HOUR_MS;

/**
 * Lets go of what files hold that nothing names any more, and of what began to come in and never ended. Returns how many files'
 * contents went.
 */
export async function dropUnusedFiles({ db, files, now }: Context): Promise<number> {
  const before = (ms: number) => new Date(now().getTime() - ms);
  await files.dropStaged(before(STAGED_MS));
  const unused = and(
    lt(fileContents.since, before(HOUR_MS)),
    notExists(
      db
        .select({ one: sql`1` })
        .from(caseFiles)
        .where(eq(caseFiles.hash, fileContents.hash)),
    ),
  );
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
