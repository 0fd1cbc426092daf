import fs from 'node:fs';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { members, openStore, schemaKnown, type Database, type Store } from '../db';
import { filesOf } from './filesOf';
import type { Settings } from '../context';
import { NotBackup, openBackup, type OpenBackup } from './readBackup';
import { loadBackup } from './restoreBackup';
import { backupName } from './keptBackups';
import { showRestore, type WouldChange } from './showRestore';
import { writeBackup, type MadeBackup } from './writeBackup';

type Place = Pick<Settings, 'dataFolder' | 'databaseUrl' | 'backupFolder' | 'backupPassphrase'>;

const openAt = (place: Place, upTo?: number): Promise<Store> =>
  openStore(
    place.databaseUrl ? { url: place.databaseUrl } : { folder: place.dataFolder },
    undefined,
    upTo === undefined ? {} : { upTo },
  );

/** Makes a backup of a store that no server has open, or of a PostgreSQL server whoever has. Throws what the store does. */
export async function backupCommand(
  place: Place,
  version: string,
  file: string | undefined,
): Promise<MadeBackup> {
  const store = await openAt(place);
  try {
    const now = new Date();
    const isEmbedded = !place.databaseUrl;
    const passphrase = place.backupPassphrase;
    const backed = {
      ...{ db: store.db, isEmbedded, schema: schemaKnown(), version, passphrase, now: () => now },
      files: filesOf(store.db, place.dataFolder, isEmbedded),
    };
    return await writeBackup(
      backed,
      path.resolve(
        file ?? path.join(place.backupFolder ?? '.', backupName(now, 'by hand', passphrase !== null)),
      ),
    );
  } finally {
    await store.close();
  }
}

const isInUse = async (db: Database): Promise<boolean> =>
  (await db.select({ id: members.id }).from(members).limit(1)).length > 0;

/** What a restore came to: how many rows, and where what was there before is now. */
export interface Restored {
  rows: number;
  files: number;
  madeAt: string;
  before: string | null;
}

function summary({ manifest }: OpenBackup): Omit<Restored, 'before'> {
  return {
    rows: manifest.tables.reduce((sum, { rows }) => sum + rows, 0),
    files: manifest.parts.filter(({ name }) => name.startsWith('files/')).length,
    madeAt: manifest.madeAt,
  };
}

/** Whether the store at a place has a team in it. */
async function hasTeam(place: Place): Promise<boolean> {
  const store = await openAt(place);
  try {
    return await isInUse(store.db);
  } finally {
    await store.close();
  }
}

const isThere = (folder: string): boolean => fs.existsSync(path.join(folder, 'database'));

/**
 * Puts a restored folder in its place, where a restore was ended before it had done so: what was there before is kept beside it. Does
 * nothing where there is none.
 */
export function settleRestored(dataFolder: string): string | null {
  const restored = `${dataFolder}.restored`;
  if (!fs.existsSync(restored)) return null;
  let before: string | null = null;
  if (fs.existsSync(dataFolder)) {
    const day = new Date().toISOString().slice(0, 19).replace(/[:T]/g, '-');
    before = `${dataFolder}-before-${day}`;
    fs.renameSync(dataFolder, before);
  }
  fs.renameSync(restored, dataFolder);
  return before;
}

/** Loads a backup into a fresh folder, which takes the place of the other once it is whole. */
async function restoreFolder(place: Place, backup: OpenBackup, isReplacing: boolean): Promise<string | null> {
  const { dataFolder } = place;
  // Opened to replace it, too: a folder that a server holds refuses to be.
  const used = isThere(dataFolder) && (await hasTeam(place));
  if (used && !isReplacing)
    throw new NotBackup(
      `The data folder ${dataFolder} has a team in it. Nothing was restored. Add --replace to put the backup in its place; what is there stays beside it.`,
    );
  const making = `${dataFolder}.restoring`;
  fs.rmSync(making, { recursive: true, force: true });
  const store = await openStore({ folder: making }, undefined, { upTo: backup.manifest.schema });
  try {
    await loadBackup(store.db, backup, { files: filesOf(store.db, making, true) });
    await store.bringUpToDate();
  } catch (error) {
    await store.close();
    fs.rmSync(making, { recursive: true, force: true });
    throw error;
  }
  await store.close();
  fs.renameSync(making, `${dataFolder}.restored`);
  return settleRestored(dataFolder);
}

/** Empties a database of all that Elderleaf made in it. */
async function emptyServer(place: Place): Promise<void> {
  const store = await openAt(place);
  await store.db.transaction(async (tx) => {
    await tx.execute(sql`drop schema public cascade`);
    await tx.execute(sql`create schema public`);
    await tx.execute(sql`drop schema if exists drizzle cascade`);
  });
  await store.close();
}

async function restoreServer(
  place: Place,
  backup: OpenBackup,
  version: string,
  isReplacing: boolean,
): Promise<string | null> {
  const used = await hasTeam(place);
  if (used && !isReplacing)
    throw new NotBackup(
      'The database has a team in it. Nothing was restored. Add --replace to put the backup in its place; what is there is backed up first.',
    );
  const before = used ? (await backupCommand(place, version, undefined)).file : null;
  await emptyServer(place);
  const fresh = await openAt(place, backup.manifest.schema);
  try {
    await loadBackup(fresh.db, backup, { files: filesOf(fresh.db, place.dataFolder, false) });
    await fresh.bringUpToDate();
  } finally {
    await fresh.close();
  }
  return before;
}

/** What a restore in place of what is there would change. Nothing is changed. Throws a NotBackup, in words, where it cannot be read. */
export async function showCommand(place: Place, file: string): Promise<WouldChange[]> {
  const backup = await openToRestore(place, file);
  try {
    const store = await openAt(place);
    try {
      return await showRestore(store.db, backup);
    } finally {
      await store.close();
    }
  } finally {
    backup.close();
  }
}

/** Opens a backup that this Elderleaf can restore. Throws a NotBackup, in words. */
async function openToRestore(place: Place, file: string): Promise<OpenBackup> {
  const backup = await openBackup(path.resolve(file), place.backupPassphrase);
  if (backup.manifest.schema <= schemaKnown()) return backup;
  backup.close();
  throw new NotBackup(
    `${file} was made by a later Elderleaf than this one. Nothing was restored; update Elderleaf first.`,
  );
}

/**
 * Restores a backup into an empty place, be it a folder or a PostgreSQL server, and whichever of them it was made of; or in place of what is
 * there, which is kept. Throws a NotBackup, in words, where it cannot be.
 */
export async function restoreCommand(
  place: Place,
  version: string,
  file: string,
  isReplacing: boolean,
): Promise<Restored> {
  const backup = await openToRestore(place, file);
  try {
    const before = place.databaseUrl
      ? await restoreServer(place, backup, version, isReplacing)
      : await restoreFolder(place, backup, isReplacing);
    return { ...summary(backup), before };
  } finally {
    backup.close();
  }
}
