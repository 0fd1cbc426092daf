import type { Assignment, Member } from '#contracts';
import { call } from '#client/api';
import { fileName } from '#client/files';
import { zipped } from '../../../documents';
import { commentedFile, commentedOf } from '../commented';

/** A name that no other file of the archive has. */
function freeName(taken: ReadonlySet<string>, person: string, ending: string): string {
  for (let n = 1; ; n += 1) {
    const name = fileName(n === 1 ? person : `${person} ${n}`, ending);
    if (!taken.has(name.toLowerCase())) return name;
  }
}

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
  const taken = new Set<string>();
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
    const name = freeName(taken, person, ending);
    taken.add(name.toLowerCase());
    files[name] = new Uint8Array(await blob.arrayBuffer());
  }
  const bytes = await zipped(files);
  return {
    blob: new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/zip' }),
    count: taken.size,
  };
}
