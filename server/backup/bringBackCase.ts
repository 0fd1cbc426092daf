import { and, eq, isNull } from 'drizzle-orm';
import { isSame } from '#core/difference';
import { givenCase, keepState } from '../cases';
import { caseFiles, draftFiles, drafts } from '../db';
import { writeTrail } from '../trail';
import type { BringBack } from './bringBackCollection';
import { holdFiles } from './holdFiles';

/** Texts of the member that are there no more come back; of those that read otherwise the text of then is among their earlier ones. */
async function bringBackDrafts(walk: BringBack, id: string): Promise<number> {
  const { context, tx, past, member } = walk;
  const own = and(eq(drafts.case, id), eq(drafts.author, member.id));
  const then = await past
    .select()
    .from(drafts)
    .where(and(own, isNull(drafts.deletion)));
  const today = new Map((await tx.select().from(drafts).where(own)).map((row) => [row.id, row]));
  let count = 0;
  for (const row of then) {
    const here = today.get(row.id);
    if (!here) {
      await tx.insert(drafts).values(row);
      const along = await past.select().from(draftFiles).where(eq(draftFiles.draft, row.id));
      await holdFiles(
        walk,
        along.map(({ hash }) => hash),
      );
      if (along.length > 0) await tx.insert(draftFiles).values(along);
    } else if (here.deletion !== null) {
      await tx.update(drafts).set({ deletion: null }).where(eq(drafts.id, row.id));
    }
    const isOther = here !== undefined && !isSame(here.document, row.document);
    if (isOther) await keepState(context, tx, row.id, row.document, 'from-backup');
    if (isOther || here?.deletion !== null) count += 1;
  }
  return count;
}

async function bringBackFiles(walk: BringBack, id: string): Promise<number> {
  const { tx, past } = walk;
  const then = await past
    .select()
    .from(caseFiles)
    .where(and(eq(caseFiles.case, id), isNull(caseFiles.deletion)));
  const today = new Map(
    (await tx.select().from(caseFiles).where(eq(caseFiles.case, id))).map((row) => [row.id, row]),
  );
  const gone = then.filter((row) => !today.has(row.id));
  const deleted = then.filter((row) => (today.get(row.id)?.deletion ?? null) !== null);
  await holdFiles(
    walk,
    gone.map(({ hash }) => hash),
  );
  if (gone.length > 0) await tx.insert(caseFiles).values(gone);
  for (const { id: file } of deleted)
    await tx.update(caseFiles).set({ deletion: null }).where(eq(caseFiles.id, file));
  return gone.length + deleted.length;
}

/**
 * Brings back what is the member's own of a case that is given to them, and its files. Nothing that is there is written over. Throws as for
 * something that is not there where the case is not theirs.
 */
export async function bringBackCase(walk: BringBack, id: string): Promise<void> {
  const { context, tx, member, came } = walk;
  await givenCase(tx, member.id, id);
  const texts = await bringBackDrafts(walk, id);
  const files = await bringBackFiles(walk, id);
  came.drafts += texts;
  came.files += files;
  if (texts + files === 0) return;
  await writeTrail(tx, context.now(), {
    by: member.id,
    act: 'brought-back',
    // Cases are not told of to those they are not given to, and owners read the trail.
    subject: 'a case',
    detail: `${texts} texts, ${files} files`,
  });
}
