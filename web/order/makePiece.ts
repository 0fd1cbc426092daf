import type { Entry, SharedEndsFound, Step } from '#contracts';
import { pieceOf, withPiece } from '#core/pieces';
import { takeKept } from '../api/bank';
import type { DoneToMany } from '../bank/many/lastDone';
import { takeSteps, takingBack } from '../bank/many/useMany';

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

/** Makes an entry of what others share, unless there is one, and puts it into them: all of it, or nothing. Throws what `call` does. */
export async function makePiece(end: End): Promise<DoneToMany> {
  const { collection, passage } = end;
  const content = pieceOf({ ...end, blocks: passage.content, at: [], piece: null });
  const reason = 'What several entries share, once for all';
  const all = changed(end, end.piece?.id ?? MADE);
  const changes = all.map(({ entry, content: next }) => ({
    entry: entry.id,
    revision: entry.revision,
    content: next,
  }));
  const { entries } = await takeSteps([
    ...(end.piece ? [] : [{ do: 'make' as const, name: MADE, collection, content, reason }]),
    { do: 'change', changes, reason },
  ]);
  const put = new Set(all.map(({ entry }) => entry.id));
  const made = entries.filter(({ id }) => !put.has(id));
  for (const entry of made) takeKept(entry);
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
