import { and, eq, inArray } from 'drizzle-orm';
import { filesAlong, type DraftDocument } from '#core/draft';
import { filesInSight } from '../bank';
import { type Queries, draftFiles, drafts } from '../db';

/**
 * Holds the files that go along with a draft, whatever becomes of the entries they came with. What its author has no right to
 * name is passed over: a text is always saved. Asks nothing of the store where none goes along.
 */
export async function holdDraftFiles(
  tx: Queries,
  author: string,
  draft: string,
  document: DraftDocument,
): Promise<void> {
  const files = filesAlong(document);
  if (files.length === 0) return;
  const held = await tx.select({ hash: draftFiles.hash }).from(draftFiles).where(eq(draftFiles.draft, draft));
  const known = new Set(held.map(({ hash }) => hash));
  const fresh = files.filter(({ hash }) => !known.has(hash));
  if (fresh.length === 0) return;
  const hashes = fresh.map(({ hash }) => hash);
  // Also what another draft of theirs holds: this one may be its copy.
  const own = await tx
    .select({ hash: draftFiles.hash })
    .from(draftFiles)
    .innerJoin(drafts, eq(drafts.id, draftFiles.draft))
    .where(and(eq(drafts.author, author), inArray(draftFiles.hash, hashes)));
  const may = await filesInSight(tx, author, hashes);
  for (const { hash } of own) may.add(hash);
  const rows = fresh.filter(({ hash }) => may.has(hash)).map(({ hash, name }) => ({ draft, hash, name }));
  if (rows.length > 0) await tx.insert(draftFiles).values(rows).onConflictDoNothing();
}
