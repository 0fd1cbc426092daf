import { and, count, eq } from 'drizzle-orm';
import type { Request, Response, Router } from 'express';
import { MOST_ENTRY_FILE_BYTES, type EntryFile } from '#core/entry';
import { visibleEntry } from '../bank';
import { ownDraft } from '../cases';
import type { Context } from '../context';
import { draftFiles, entryFiles, fileContents, waitingFiles } from '../db';
import { mediaOf } from '../fileStore';
import { bind, notFound, Refusal } from '../http';
import { keepContent, stage, type ComingFile } from './keepFile';
import { nameIn } from './nameIn';
import { serveFile, type ServedFile } from './serveFile';

/** Nobody writes so many files into entries before one of them is saved. */
const MOST_WAITING = 500;

async function mustHaveRoom({ db }: Context, member: string): Promise<void> {
  const [all] = await db.select({ count: count() }).from(waitingFiles).where(eq(waitingFiles.member, member));
  if (all!.count >= MOST_WAITING)
    throw new Refusal('too-large', `${MOST_WAITING} files wait for entries that you have not saved yet.`);
}

/** Takes a file in for an entry that its sender is writing; it waits until the entry is saved. */
async function keepForEntry(context: Context, member: string, coming: ComingFile): Promise<EntryFile> {
  await mustHaveRoom(context, member);
  const staged = await stage(context, coming, Math.min(MOST_ENTRY_FILE_BYTES, context.settings.fileBytes));
  const { hash, bytes } = staged;
  const media = await mediaOf(staged.head, coming.name);
  try {
    const since = context.now();
    await context.db.transaction(async (tx) => {
      await keepContent(tx, since, staged, media);
      await tx
        .insert(waitingFiles)
        .values({ hash, member, since })
        .onConflictDoUpdate({ target: [waitingFiles.hash, waitingFiles.member], set: { since } });
    });
  } finally {
    await staged.drop();
  }
  return { hash, name: coming.name, media, bytes };
}

/** Files that go along with entries: sent while one is written, and served from the entry or from a draft it was placed in. */
export function entryFileRoutes(router: Router, context: Context): void {
  const { db, files } = context;
  const answer = async (file: ServedFile | undefined, request: Request, response: Response) => {
    if (!file) throw notFound();
    await serveFile(files, file, request, response);
    // Answered already, as the route's `stream` says.
    return undefined;
  };
  const held = { hash: fileContents.hash, media: fileContents.media, bytes: fileContents.bytes };

  bind(router, context, 'sendEntryFile', ({ member, request }) =>
    keepForEntry(context, member.id, { name: nameIn(request), source: request }),
  );

  bind(router, context, 'entryFile', async ({ member, params, request, response }) => {
    const entry = await visibleEntry(db, member.id, params.entry);
    const [file] = await db
      .select({ ...held, name: entryFiles.name })
      .from(entryFiles)
      .innerJoin(fileContents, eq(fileContents.hash, entryFiles.hash))
      .where(and(eq(entryFiles.entry, entry.id), eq(entryFiles.hash, params.hash)));
    return answer(file, request, response);
  });

  bind(router, context, 'draftFile', async ({ member, params, request, response }) => {
    const draft = await ownDraft(db, member.id, params.draft);
    const [file] = await db
      .select({ ...held, name: draftFiles.name })
      .from(draftFiles)
      .innerJoin(fileContents, eq(fileContents.hash, draftFiles.hash))
      .where(and(eq(draftFiles.draft, draft.id), eq(draftFiles.hash, params.hash)));
    return answer(file, request, response);
  });
}
