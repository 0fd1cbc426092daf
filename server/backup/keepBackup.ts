import fs from 'node:fs';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { USUAL_KEEPING, type Backup, type BackupWhy } from '#contracts';
import type { Context } from '../context';
import { schemaKnown } from '../db';
import { settingsOf } from '../wastebasket';
import { backupName, dropOldBackups, isBackupDue, keptBackups } from './keptBackups';
import { writeBackup } from './writeBackup';

/** By what processes on one server agree who makes the day's backup. */
const DAILY = 7_305_113;

/** The backup that this process makes now: others wait for it, since what is noted for one is not for two. */
let making: Promise<unknown> = Promise.resolve();
let isMaking = false;

/** The backups in the folder, the newest first; none where none are made. */
export function backupsIn(folder: string | null): Backup[] {
  if (folder === null) return [];
  return keptBackups(folder).flatMap(({ at, ...known }) => {
    // One that goes at this very moment is there no more.
    const bytes = fs.statSync(path.join(folder, known.name), { throwIfNoEntry: false })?.size;
    return bytes === undefined ? [] : [{ ...known, at: at.toISOString(), bytes }];
  });
}

async function write(
  { db, files, version, now, settings }: Context,
  folder: string,
  why: BackupWhy,
  tell: (progress: number) => void,
): Promise<Backup> {
  const passphrase = settings.backupPassphrase;
  const at = now();
  const name = backupName(at, why, passphrase !== null);
  const backed = {
    ...{ db, files, version, passphrase, isEmbedded: settings.databaseUrl === null, schema: schemaKnown() },
    now: () => at,
  };
  const { bytes } = await writeBackup(backed, path.join(folder, name), tell);
  const keeping = (await settingsOf(db)).backups ?? USUAL_KEEPING;
  dropOldBackups(folder, keeping, now());
  return { name, at: at.toISOString(), why, bytes, isEncrypted: passphrase !== null };
}

/**
 * Makes a backup into the folder of backups, once one that is being made is done, and drops those that need not be kept any more; null where
 * no backups are wanted. `tell` hears how far it is, from 0 to 1. Throws what the store or the disk does.
 */
export async function keepBackup(
  context: Context,
  why: BackupWhy,
  tell: (progress: number) => void = () => undefined,
): Promise<Backup | null> {
  const { backupFolder: folder } = context.settings;
  if (folder === null) return null;
  const before = making;
  const mine = (async () => {
    await before;
    isMaking = true;
    try {
      return await write(context, folder, why, tell);
    } finally {
      isMaking = false;
    }
  })();
  making = mine.catch(() => undefined);
  return mine;
}

/**
 * Begins a backup before a large act, which goes on meanwhile: it is of the moment at which this comes back or of an earlier one. What
 * keeps it from being made is logged, and keeps nobody from the act.
 */
export async function backupBefore(context: Context, why: BackupWhy): Promise<void> {
  // One that is being made is of a moment before this one too.
  if (isMaking || context.settings.backupFolder === null) return;
  await new Promise<void>((begun) => {
    keepBackup(context, why, () => begun()).then(
      () => begun(),
      (error: unknown) => {
        context.log.error({ name: (error as Error).name }, 'a backup could not be made');
        begun();
      },
    );
  });
}

/**
 * Makes the day's backup where it is not made yet; null where there was nothing to do. Of several processes that have the store open one
 * makes it.
 */
export async function makeDailyBackup(context: Context): Promise<Backup | null> {
  const { backupFolder: folder, databaseUrl } = context.settings;
  const isDue = () => folder !== null && isBackupDue(keptBackups(folder), context.now());
  if (!isDue()) return null;
  if (databaseUrl === null) return keepBackup(context, 'daily');
  return context.db.transaction(async (tx) => {
    const { rows } = (await tx.execute(sql`select pg_try_advisory_xact_lock(${DAILY}) as mine`)) as {
      rows: { mine: boolean }[];
    };
    return rows[0]!.mine && isDue() ? keepBackup(context, 'daily') : null;
  });
}
