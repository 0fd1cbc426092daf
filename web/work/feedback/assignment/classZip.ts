import type { Assignment, Member } from '#contracts';
import { call } from '#client/api';
import { ArchiveNames, fileOf } from '#client/files';
import { zipped } from '../../../documents';
import { commentedFile, commentedOf } from '../commented';

/**
 * All submissions of an assignment that have comments, each as its own docx or PDF with them in it, in one archive, named by whose it is. `tell`
 * hears of each that is done. Throws in words where one cannot be had.
 */
export async function classZip(
  { id }: Assignment,
  member: Member,
  tell: (done: number) => void,
): Promise<{ blob: Blob; count: number }> {
  // As it is now: others comment too.
  const { submissions } = await call('assignment', { params: { assignment: id } });
  const files: Record<string, Uint8Array> = {};
  const names = new ArchiveNames();
  for (const [at, { case: of, person, title, comments }] of submissions.entries()) {
    tell(at);
    if (comments === 0) continue;
    const params = { case: of };
    const [one, handed, others] = await Promise.all([
      call('case', { params }),
      call('submission', { params }),
      call('othersComments', { params }),
    ]);
    if (!handed) continue;
    const [first] = one.drafts;
    const own = first ? await call('draft', { params: { draft: first.id } }) : null;
    const { blob, ending } = await commentedFile(commentedOf({ id: of, title }, handed, own, member, others));
    files[names.take(person, ending)] = new Uint8Array(await blob.arrayBuffer());
  }
  return { blob: fileOf('zip', await zipped(files)), count: Object.keys(files).length };
}
