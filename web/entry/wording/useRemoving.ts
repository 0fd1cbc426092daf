import { useState } from 'react';
import { isSame } from '#core/difference';
import type { Part, Wording, WordingPlace } from '#core/entry';
import { freeId, type WordingChanges } from './addingWordings';

/** A wording, or a part of one, that was removed last, with the place that it had. */
export type Removed = { at: number } & ({ wording: Wording } | { part: Part; of: string });

const nameOf = (removed: Removed): string =>
  ('wording' in removed ? removed.wording.name : removed.part.name) || 'unnamed';

/** Its own id, or a free one where another was made meanwhile that has it. */
const ownOrFree = ({ id }: { id: string }, all: readonly { id: string }[], stem: string): string =>
  all.some((one) => one.id === id) ? freeId(stem, all) : id;

const putAt = <T>(all: readonly T[], at: number, one: T): T[] => [...all.slice(0, at), one, ...all.slice(at)];

/** The wordings with what was removed where it was, and its place; null where that cannot be, as when they were given up meanwhile. */
function withRemoved(
  wordings: readonly Wording[],
  removed: Removed,
): { wordings: Wording[]; place: WordingPlace } | null {
  if ('wording' in removed) {
    const { wording, at } = removed;
    if (wordings.some((one) => isSame(one, wording))) return null;
    const id = ownOrFree(wording, wordings, 'w');
    return {
      wordings: putAt(wordings, at, { ...wording, id }),
      place: { wording: id, part: wording.parts[0]!.id },
    };
  }
  const { of, part, at } = removed;
  const home = wordings.find(({ id }) => id === of);
  if (!home || home.parts.some((one) => isSame(one, part))) return null;
  const id = ownOrFree(part, home.parts, 'p');
  const whole = { ...home, parts: putAt(home.parts, at, { ...part, id }) };
  return {
    wordings: wordings.map((one) => (one.id === of ? whole : one)),
    place: { wording: of, part: id },
  };
}

/** Removes wordings and parts; the last of them can be had back. */
export function useRemoving({ content: { wordings }, put, write }: WordingChanges) {
  const [removed, setRemoved] = useState<Removed | null>(null);
  const back = removed && withRemoved(wordings, removed);
  const remove = (one: Removed) => {
    setRemoved(one);
    if ('wording' in one) {
      const rest = wordings.filter(({ id }) => id !== one.wording.id);
      put(rest);
      return write({ wording: rest[0]!.id, part: rest[0]!.parts[0]!.id });
    }
    const without = (wording: Wording) => ({
      ...wording,
      parts: wording.parts.filter(({ id }) => id !== one.part.id),
    });
    const rest = wordings.map((wording) => (wording.id === one.of ? without(wording) : wording));
    put(rest);
    write({ wording: one.of, part: rest.find(({ id }) => id === one.of)!.parts[0]!.id });
  };
  const undo = () => {
    if (!back) return;
    put(back.wordings);
    write(back.place);
    setRemoved(null);
  };
  return { remove, undone: back && { name: nameOf(removed), undo } };
}
