import { linesOf } from '#core/passage';
import type { DraftDocument } from './draft';
import { placementOf } from './placementOf';

/** The entries placed in a draft in the order in which a reader meets them, one for each placement that still has words there. */
export function entriesInOrder(document: DraftDocument): string[] {
  const met = new Set(
    linesOf(document)
      .flat()
      .flatMap((inline) => placementOf(inline) ?? []),
  );
  return [...met].flatMap((id) => document.attrs.placements[id]?.entry ?? []);
}
