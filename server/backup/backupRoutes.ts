import fs from 'node:fs';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import type { Response, Router } from 'express';
import type { Backup } from '#contracts';
import type { Context } from '../context';
import { bind, notFound, Refusal } from '../http';
import { bindLong } from '../jobs';
import { writeTrail } from '../trail';
import { bringBack } from './bringBack';
import { compare } from './compareBackup';
import { backupsIn, keepBackup } from './keepBackup';
import { withPast } from './openPast';
import { NotBackup } from './readBackup';
import { roomOf } from './roomOf';

/** A backup, with the path of its file. */
type KeptBackup = Backup & { file: string };

const TELL_MS = 150;

/** A long work that tells how far it is, as a generator of that. */
async function* followed<T>(
  work: (tell: (progress: number) => void) => Promise<T>,
): AsyncGenerator<number, T> {
  const state: { progress: number; done: { result: T } | null } = { progress: 0, done: null };
  const running = work((progress) => (state.progress = progress)).then((result) => (state.done = { result }));
  for (;;) {
    await Promise.race([running, new Promise((resolve) => setTimeout(resolve, TELL_MS))]);
    if (state.done) return state.done.result;
    yield state.progress;
  }
}

/** What came of it, or why nothing did, in words. */
async function orRefused<T>(work: Promise<T>) {
  try {
    return { state: 'done' as const, result: await work };
  } catch (error) {
    if (error instanceof NotBackup) return { state: 'refused' as const, why: error.message };
    throw error;
  }
}

/** Makes a backup because a member wants one, with its line in the trail. Throws a NotBackup where none are made. */
async function madeByHand(context: Context, by: string, tell: (progress: number) => void): Promise<Backup> {
  const made = await keepBackup(context, 'by hand', tell);
  if (!made) throw new NotBackup('No backups are made here: ELDERLEAF_BACKUPS is off.');
  await writeTrail(context.db, context.now(), { by, act: 'backup-made', subject: made.name });
  return made;
}

/** Sends a backup as a file to be saved. */
async function sendBackup({ name, bytes, file }: KeptBackup, response: Response): Promise<void> {
  response.attachment(name);
  response.set({
    'Content-Type': 'application/octet-stream',
    'Cache-Control': 'private, no-store, no-transform',
    'Content-Length': String(bytes),
  });
  await pipeline(fs.createReadStream(file), response).catch((error: unknown) => {
    // Who asked went away.
    if ((error as NodeJS.ErrnoException).code !== 'ERR_STREAM_PREMATURE_CLOSE') throw error;
  });
}

/** The backups of the store: made, looked into, brought back in part. */
export function backupRoutes(router: Router, context: Context): void {
  const { settings } = context;
  const folder = settings.backupFolder;

  /** One of the backups, by its name among those that are there: no path leads out of their folder. */
  function oneOf(name: string): KeptBackup {
    const known = backupsIn(folder).find((one) => one.name === name);
    if (!known) throw notFound();
    return { ...known, file: path.join(folder!, known.name) };
  }

  bind(router, context, 'backups', ({ member }) =>
    // Where the folder is concerns those who run the server.
    Promise.resolve({ folder: member.role === 'owner' ? folder : null, backups: backupsIn(folder) }),
  );

  bind(router, context, 'room', () => roomOf(context));

  bindLong(router, context, 'makeBackup', ({ member }) =>
    followed((tell) => orRefused(madeByHand(context, member.id, tell))),
  );

  bind(router, context, 'backupFile', async ({ member, params, response }) => {
    const one = oneOf(params.backup);
    const done = { by: member.id, act: 'backup-downloaded' as const, subject: one.name };
    await writeTrail(context.db, context.now(), done);
    await sendBackup(one, response);
    // Answered already, as the route's `stream` says.
    return undefined;
  });

  bind(router, context, 'deleteBackup', async ({ member, params }) => {
    const { name, file } = oneOf(params.backup);
    fs.rmSync(file, { force: true });
    const done = { by: member.id, act: 'backup-deleted' as const, subject: name };
    await writeTrail(context.db, context.now(), done);
    return undefined;
  });

  bindLong(router, context, 'compareBackup', ({ member, body }) =>
    followed((tell) =>
      orRefused(withPast(context, body.backup, (past) => compare(context.db, past, member), tell)),
    ),
  );

  bind(router, context, 'bringBack', async ({ member, body }) => {
    try {
      return await withPast(context, body.backup, async (past) => {
        // Once the other is open: of those before large acts the oldest goes for it, which may be that one.
        await keepBackup(context, 'before restore');
        return bringBack(context, past, member, body);
      });
    } catch (error) {
      if (error instanceof NotBackup) throw new Refusal('not-valid', error.message);
      throw error;
    }
  });
}
