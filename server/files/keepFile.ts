import { and, count, eq, isNull } from 'drizzle-orm';
import { MOST_FILES, type CaseFile, type Member } from '#contracts';
import { filesOfCase, givenCase, tellOfCase } from '../cases';
import type { Context } from '../context';
import { caseFiles, fileContents, type Queries } from '../db';
import { FileTooLarge, mediaOf, type StagedFile } from '../fileStore';
import { Refusal } from '../http';

/** A file that comes in: what it is called, and its bytes as they come. */
export interface ComingFile {
  name: string;
  source: AsyncIterable<Uint8Array>;
}

/** Keeps what came in, or holds what is kept already; in the transaction that goes on to name it. */
export async function keepContent(tx: Queries, now: Date, staged: StagedFile, media: string): Promise<void> {
  const { hash, bytes } = staged;
  // The row is held whether it is new or not: nobody lets go of its bytes until this is done.
  await tx
    .insert(fileContents)
    .values({ hash, bytes, media, since: now })
    .onConflictDoUpdate({ target: fileContents.hash, set: { hash } });
  await staged.keep(tx);
}

async function mustHaveRoom(db: Queries, of: string): Promise<void> {
  const [all] = await db
    .select({ count: count() })
    .from(caseFiles)
    .where(and(eq(caseFiles.case, of), isNull(caseFiles.deletion)));
  if (all!.count >= MOST_FILES)
    throw new Refusal('too-large', `A case has ${MOST_FILES} files at the most. This one was not saved.`);
}

/** Takes a file in whole. Throws in words where it is too large, and what is thrown where its sender went away. */
export async function stage(
  { files }: Context,
  { name, source }: ComingFile,
  mostBytes: number,
): Promise<StagedFile> {
  try {
    return await files.stage(source, mostBytes);
  } catch (error) {
    if (!(error instanceof FileTooLarge)) throw error;
    const most = mostBytes / 1_000_000;
    throw new Refusal('too-large', `${name} is larger than ${most} MB. It was not saved.`);
  }
}

/**
 * Keeps a file with a case, for all it is given to: whole, or not at all. Sent again under its id it is one file. Throws a
 * Refusal where the case was not given, the file is too large, or the case is full.
 */
export async function keepFile(
  context: Context,
  member: Pick<Member, 'id'>,
  of: string,
  coming: ComingFile & { id: string },
): Promise<CaseFile> {
  const { db } = context;
  await givenCase(db, member.id, of);
  const [there] = await filesOfCase(db, of, coming.id);
  if (there) return there;
  await mustHaveRoom(db, of);
  const staged = await stage(context, coming, context.settings.fileBytes);
  try {
    const media = await mediaOf(staged.head, coming.name);
    await db.transaction(async (tx) => {
      await keepContent(tx, context.now(), staged, media);
      const row = { id: coming.id, case: of, hash: staged.hash, name: coming.name };
      await tx
        .insert(caseFiles)
        .values({ ...row, addedBy: member.id, addedAt: context.now() })
        .onConflictDoNothing();
    });
  } finally {
    await staged.drop();
  }
  const [kept] = await filesOfCase(db, of, coming.id);
  if (!kept)
    throw new Refusal(
      'not-valid',
      'Another file has this id. Nothing was saved; send it under an id of its own.',
    );
  await tellOfCase(context, of);
  return kept;
}
