import type { Entry, NewCase } from '#contracts';
import { newLeaf } from '#client/cases';
import { clockNow } from '#client/clock';
import type { Placements } from '#core/draft';
import { place, type PlaceRequest } from '#core/fill';
import type { Block } from '#core/passage';
import { emptyRecord } from '#core/record';

/**
 * A leaf to the class: the wordings of some entries, one beneath another, each placed so that it stays alive; what they ask for is
 * asked on the leaf.
 * @param newId gives the id of each placement.
 */
export function leafToClass(
  title: string,
  entries: readonly Entry[],
  writer: PlaceRequest['writer'],
  find: PlaceRequest['find'],
  newId: () => string,
): NewCase {
  const placements: Placements = {};
  const content = entries.flatMap(({ id: entry, revision, content: own }): Block[] => {
    const id = newId();
    const request = { entry: { id: entry, revision, content: own }, cue: null, id, writer, find };
    const { passage, placement } = place({ ...request, record: emptyRecord(), ...clockNow() });
    placements[id] = placement;
    return passage.content;
  });
  const document = { type: 'doc' as const, attrs: { placements }, content };
  return newLeaf({ title, document });
}
