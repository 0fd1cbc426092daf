import type { Entry, SharedEndsFound, Step } from '#contracts';
import { pieceOf, withPiece } from '#core/pieces';
import type { DoneToMany } from './lastDone';
import { sendSteps, takingBack } from './manyActs';

/** An opening or closing that several entries share, with where it stands in each. */
export type End = SharedEndsFound['ends'][number];

/** Each entry once, with the piece put in wherever it has the blocks. */
function changed({ at, kind, passage }: End, piece: string): { entry: Entry; content: Entry['content'] }[] {
  const byId = new Map<string, { entry: Entry; content: Entry['content'] }>();
  for (const { entry, ...place } of at) {
    const content = byId.get(entry.id)?.content ?? entry.content;
    const next = withPiece(content, place, { kind, blocks: passage.content }, piece);
    byId.set(entry.id, { entry, content: next });
  }
  return [...byId.values()];
}

const MADE = 'the-piece';

/**
 * Makes an entry of what others share, unless there is one, and puts it into them: all of it, or nothing; `put` is
 * given the entry that is made. Throws what `call` does.
 */
export async function makePiece(end: End, put: (made: Entry) => void): Promise<DoneToMany> {
  const { collection, passage } = end;
  const content = pieceOf({ ...end, blocks: passage.content, at: [], piece: null });
  const reason = 'What several entries share, once for all';
  const all = changed(end, end.piece?.id ?? MADE);
  const changes = all.map(({ entry, content: next }) => ({
    entry: entry.id,
    revision: entry.revision,
    content: next,
  }));
  const { entries } = await sendSteps([
    ...(end.piece ? [] : [{ do: 'make' as const, name: MADE, collection, content, reason }]),
    { do: 'change', changes, reason },
  ]);
  const changedIds = new Set(all.map(({ entry }) => entry.id));
  const made = entries.filter(({ id }) => !changedIds.has(id));
  made.forEach(put);
  return {
    said: `${all.length} entries hold “${(end.piece?.content ?? content).title}” now: changed once, it is changed in all.`,
    undo: [
      takingBack(
        all.map(({ entry }) => entry),
        reason,
      ),
      ...made.map(({ id }): Step => ({ do: 'delete', entries: [id] })),
    ],
  };
}
