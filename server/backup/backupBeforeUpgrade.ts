import path from 'node:path';
import type { Settings } from '../context';
import type { Database } from '../db';
import { filesOf } from './filesOf';
import { backupName } from './keptBackups';
import { writeBackup } from './writeBackup';

/**
 * Backs a store of an earlier Elderleaf up before this one changes it. Gives the file, or null where no backups are wanted. Throws where it
 * cannot be made: then nothing is to be changed.
 */
export async function backupBeforeUpgrade(
  db: Database,
  schema: number,
  {
    backupFolder,
    backupPassphrase: passphrase,
    databaseUrl,
    dataFolder,
  }: Pick<Settings, 'backupFolder' | 'backupPassphrase' | 'databaseUrl' | 'dataFolder'>,
  version: string,
): Promise<string | null> {
  if (backupFolder === null) return null;
  const now = new Date();
  const isEmbedded = !databaseUrl;
  const backed = {
    ...{ db, schema, version, isEmbedded, passphrase },
    files: filesOf(db, dataFolder, isEmbedded),
    now: () => now,
  };
  const name = backupName(now, 'before upgrade', passphrase !== null);
  return (await writeBackup(backed, path.join(backupFolder, name))).file;
}
