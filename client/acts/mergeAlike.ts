import type { Entry } from '#contracts';
import { mergedContent } from '#core/entry';
import { call } from '#client/api';
import { typedCue, type BankIndex } from '#core/bank';
import type { DoneToMany } from './lastDone';
import { takingBack } from './manyActs';

/** Cues of entries that another in the collection of the one that is left has already. */
export function cuesTaken(index: BankIndex, into: Entry, others: readonly Entry[]): string[] {
  const merged = new Set([into, ...others].map(({ id }) => id));
  const taken = new Set(
    index.bank.entries.flatMap(({ id, collection, content }) =>
      collection === into.collection && !merged.has(id) && !content.retired
        ? content.cues.map(({ text }) => text.toLowerCase())
        : [],
    ),
  );
  return others.flatMap(({ content }) =>
    content.cues.filter(({ text }) => taken.has(text.toLowerCase())).map(({ text }) => text),
  );
}

/** Makes entries one. Throws what `call` does. */
export async function mergeAlike(
  index: BankIndex,
  into: Entry,
  others: readonly Entry[],
): Promise<DoneToMany> {
  const taken = new Set(cuesTaken(index, into, others));
  const titles = others.map(({ content }) => `“${content.title}”`).join(', ');
  const content = mergedContent(
    into.content,
    others.map((one) => one.content),
    (cue) => !taken.has(cue),
  );
  const at = ({ id, revision }: Entry) => ({ entry: id, revision });
  const { entry, deletion } = await call('mergeEntries', {
    body: {
      into: { ...at(into), content, reason: `Merged with ${titles}`.slice(0, 300) },
      entries: others.map(at),
    },
  });
  const cue = typedCue(entry, index.collections.get(entry.collection));
  return {
    said: `${titles} went into “${entry.content.title}”${cue ? `, which ${cue} brings` : ''}.`,
    undo: [
      // First, so that the cues are free for those that come back.
      takingBack([{ id: into.id, revision: entry.revision - 1 }], `merged with ${titles}`),
      { do: 'restore', deletion },
    ],
  };
}
