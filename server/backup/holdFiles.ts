import { eq, inArray } from 'drizzle-orm';
import type { Context } from '../context';
import { fileContents, type Database, type Queries } from '../db';
import { filePart } from './manifest';
import type { OpenBackup } from './readBackup';

/** Files that are taken out of a backup: what came in and is not kept after all is let go of at the end. */
export interface Staging {
  backup: OpenBackup;
  drop: (() => Promise<void>)[];
}

/** Sees to it that the store has some files, by their hashes: those that it has no more come from the backup. */
export async function holdFiles(
  { context, tx, past, staging }: { context: Context; tx: Queries; past: Database; staging: Staging },
  hashes: readonly string[],
): Promise<void> {
  const wanted = [...new Set(hashes)];
  if (wanted.length === 0) return;
  const here = await tx
    .select({ hash: fileContents.hash })
    .from(fileContents)
    .where(inArray(fileContents.hash, wanted))
    .for('update');
  const known = new Set(here.map(({ hash }) => hash));
  for (const hash of wanted.filter((one) => !known.has(one))) {
    const [row] = await past.select().from(fileContents).where(eq(fileContents.hash, hash));
    const staged = await context.files.stage(staging.backup.read(filePart(hash)), row!.bytes);
    staging.drop.push(() => staged.drop());
    await tx.insert(fileContents).values({ ...row!, since: context.now() });
    await staged.keep(tx);
  }
}
