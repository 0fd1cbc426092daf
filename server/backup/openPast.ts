import fs from 'node:fs';
import path from 'node:path';
import type { Context } from '../context';
import { openStore, schemaKnown, type Database, type Store } from '../db';
import { keptBackups } from './keptBackups';
import { NotBackup, openBackup, type OpenBackup } from './readBackup';
import { loadBackup } from './restoreBackup';

/** What nobody looks into to bring it back, and nothing refers to: the longest tables among them. */
const NOT_LOOKED_INTO = new Set(['terms', 'uses', 'ways_brought', 'trail', 'followings', 'draft_states']);
/** It is open for so long after it was looked into last. */
const OPEN_MS = 10 * 60_000;

/** A backup whose rows can be asked for, as they would be today: an older one is brought up to date in memory. */
export interface Past {
  db: Database;
  backup: OpenBackup;
}

interface OpenedPast extends Past {
  /** Its file: which, and when it was written. */
  of: string;
  store: Store;
  ends: NodeJS.Timeout;
}

/** The one that was looked into last: one at a time is open, whoever looks. */
let opened: OpenedPast | null = null;
let turn: Promise<unknown> = Promise.resolve();

/** Lets go of the backup that is open. */
async function closePast(): Promise<void> {
  if (!opened) return;
  const { store, backup, ends } = opened;
  opened = null;
  clearTimeout(ends);
  backup.close();
  await store.close();
}

/** The file of a backup, by its name among those that are there: no path leads out of the folder. */
function fileOf({ settings: { backupFolder: folder } }: Context, name: string): { file: string; of: string } {
  const known = folder === null ? undefined : keptBackups(folder).find((one) => one.name === name);
  if (!known) throw new NotBackup('This backup is not there any more. Nothing was changed.');
  const file = path.join(folder!, known.name);
  return { file, of: `${file} ${fs.statSync(file).mtimeMs}` };
}

async function open(
  { settings }: Context,
  { file, of }: { file: string; of: string },
  tell: (progress: number) => void,
): Promise<OpenedPast> {
  const backup = await openBackup(file, settings.backupPassphrase);
  try {
    if (backup.manifest.schema > schemaKnown())
      throw new NotBackup('A later Elderleaf than this one made this backup. Nothing was changed.');
    const store = await openStore({ image: null }, undefined, { upTo: backup.manifest.schema });
    try {
      const all = backup.manifest.tables
        .filter((table) => !NOT_LOOKED_INTO.has(table.name))
        .reduce((sum, { rows }) => sum + rows, 1);
      let rows = 0;
      await loadBackup(store.db, backup, {
        files: null,
        without: NOT_LOOKED_INTO,
        tell: (more) => tell((rows += more) / all),
      });
      await store.bringUpToDate();
    } catch (error) {
      await store.close();
      throw error;
    }
    const ends = setTimeout(() => void inTurn(closePast), OPEN_MS).unref();
    return { of, backup, store, ends, db: store.db };
  } catch (error) {
    backup.close();
    throw error;
  }
}

/** One after the other: memory holds one backup at a time. */
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const mine = turn.then(work);
  turn = mine.catch(() => undefined);
  return mine;
}

/**
 * Looks into a backup of the folder of backups. `tell` hears how far it is read, from 0 to 1. Throws a NotBackup in words where it cannot
 * be read, and what `work` does.
 */
export function withPast<T>(
  context: Context,
  name: string,
  work: (past: Past) => Promise<T>,
  tell: (progress: number) => void = () => undefined,
): Promise<T> {
  return inTurn(async () => {
    const wanted = fileOf(context, name);
    if (opened?.of !== wanted.of) {
      await closePast();
      opened = await open(context, wanted, tell);
    }
    opened.ends.refresh();
    return work(opened);
  });
}
