import type { Entry, SharedEndsFound } from '#contracts';
import { pieceOf, withPiece } from '#core/pieces';
import { call } from '../api/client';
import { takeKept } from '../api/bank';
import type { DoneToMany } from '../bank/many/useMany';

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

/** Makes an entry of what others share, unless there is one, and puts it into them. Throws what `call` does. */
export async function makePiece(end: End): Promise<DoneToMany> {
  const { collection, passage } = end;
  const content = pieceOf({ ...end, blocks: passage.content, at: [], piece: null });
  const reason = 'What several entries share, once for all';
  const piece = end.piece ?? (await call('makeEntry', { body: { collection, content, reason } }));
  const made = end.piece === null ? piece : null;
  const drop = () => call('deleteEntries', { body: { entries: [piece.id] } });
  const all = changed(end, piece.id);
  try {
    await call('changeEntries', {
      body: {
        changes: all.map(({ entry, content: next }) => ({
          entry: entry.id,
          revision: entry.revision,
          content: next,
        })),
        reason,
      },
    });
  } catch (error) {
    // Without the others it is of no use: all of it, or nothing.
    if (made) await drop();
    throw error;
  }
  if (made) takeKept(made);
  return {
    said: `${all.length} entries hold “${piece.content.title}” now: changed once, it is changed in all.`,
    undo: async () => {
      const back = all.map(({ entry }) => ({
        entry: entry.id,
        revision: entry.revision + 1,
        content: entry.content,
      }));
      await call('changeEntries', { body: { changes: back, reason: `Taken back: ${reason}` } });
      if (made) await drop();
    },
  };
}
