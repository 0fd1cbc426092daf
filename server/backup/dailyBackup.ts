import path from 'node:path';
import type { Context, Settings } from '../context';
import { schemaKnown, type Database } from '../db';
import { filesOf } from './filesOf';
import { backupName, dropOldBackups, isBackupDue, keptBackups, USUAL_KEEPING } from './keptBackups';
import { writeBackup, type MadeBackup } from './writeBackup';

/** Makes the day's backup where it is not made yet, and drops those that need not be kept any more; null where there was nothing to do. */
export async function makeDailyBackup(
  { db, files, version, now: clock }: Context,
  { backupFolder: folder, databaseUrl }: Pick<Settings, 'backupFolder' | 'databaseUrl'>,
): Promise<MadeBackup | null> {
  const now = clock();
  if (folder === null || !isBackupDue(keptBackups(folder), now)) return null;
  const backed = {
    db,
    files,
    version,
    isEmbedded: !databaseUrl,
    schema: schemaKnown(),
    now: () => now,
  };
  const made = await writeBackup(backed, path.join(folder, backupName(now, 'daily')));
  dropOldBackups(folder, USUAL_KEEPING, now);
  return made;
}

/**
 * Backs a store of an earlier Elderleaf up before this one changes it. Gives the file, or null where no backups are wanted. Throws where it
 * cannot be made: then nothing is to be changed.
 */
export async function backupBeforeUpgrade(
  db: Database,
  schema: number,
  { backupFolder, databaseUrl, dataFolder }: Pick<Settings, 'backupFolder' | 'databaseUrl' | 'dataFolder'>,
  version: string,
): Promise<string | null> {
  if (backupFolder === null) return null;
  const now = new Date();
  const isEmbedded = !databaseUrl;
  const backed = {
    db,
    schema,
    version,
    isEmbedded,
    files: filesOf(db, dataFolder, isEmbedded),
    now: () => now,
  };
  return (await writeBackup(backed, path.join(backupFolder, backupName(now, 'before upgrade')))).file;
}
