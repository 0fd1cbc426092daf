import type { Collection, Entry } from '#contracts';
import { byPrecedence, resolveCue, type BankCue, type Cue } from '#core/cue';
import type { BankIndex } from '../bank/bankIndex';

/** A cue of the bank as it is told of in clashes. */
function toBankCue(entry: Pick<Entry, 'id'>, title: string, cue: Cue, collection: Collection): BankCue {
  const { id, name, kindsOfWork, leadIn, own, cuesBy } = collection;
  return {
    ...resolveCue(entry.id, cue, collection),
    title,
    leadIn,
    collection: { id, name, kindsOfWork, own, cuesBy },
  };
}

const inPrecedence = (cues: readonly BankCue[]): BankCue[] =>
  cues
    .map((cue) => ({ cue, rank: { own: cue.collection.own, title: cue.title, entry: cue.entry } }))
    .sort((a, b) => byPrecedence(a.rank, b.rank))
    .map(({ cue }) => cue);

/** An entry that is being written: its cues as they stand on the page. */
export interface WrittenCues {
  /** '' for one that is not kept yet. */
  entry: string;
  title: string;
  cues: readonly Cue[];
  collection: Collection | undefined;
}

/**
 * All cues with those of one entry as they are being written, in the order in which they win. Where one of its own collection
 * has the same cue, the written one is the one to change.
 */
export function withWritten(
  all: readonly BankCue[],
  { entry, title, cues, collection }: WrittenCues,
): BankCue[] {
  const others = all.filter((cue) => cue.entry !== entry);
  if (!collection) return others;
  const written = cues
    .filter(({ text }) => text !== '')
    .map((cue) => ({ ...toBankCue({ id: entry }, title, cue, collection), isWritten: true }));
  return inPrecedence([...others, ...written]);
}

/** All cues that one sees, in the order in which they win on a leaf. */
export function bankCues({ bank, collections }: BankIndex): BankCue[] {
  return inPrecedence(
    bank.entries.flatMap((entry) => {
      const collection = collections.get(entry.collection);
      if (!collection || entry.content.retired) return [];
      return entry.content.cues.map((cue) => toBankCue(entry, entry.content.title, cue, collection));
    }),
  );
}
