import { notYetIn, type EntryFile } from '#core/entry';
import { linesOf } from '#core/passage';
import type { DraftDocument } from './draft';
import { placementOf } from './placementOf';

/** The files that go along with a draft: those of each placement that still has words in it, each once. */
export function filesAlong(document: DraftDocument): EntryFile[] {
  const standing = new Set(linesOf(document).flat().map(placementOf));
  return Object.entries(document.attrs.placements).reduce<EntryFile[]>(
    (all, [id, { files }]) => (standing.has(id) ? [...all, ...notYetIn(all, files)] : all),
    [],
  );
}
