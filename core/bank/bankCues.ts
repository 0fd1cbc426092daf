import { byPrecedence, resolveCue, type BankCue, type Cue } from '#core/cue';
import type { Entry } from './bank';
import type { Collection } from './collection';
import type { BankIndex } from './bankIndex';

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

const rankOf = ({ collection, title, entry }: BankCue) => ({ own: collection.own, title, entry });

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
  const [first] = written;
  if (!first) return others;
  // Put where they belong: all others are in order, and to sort them anew would cost with every key.
  const after = others.findIndex((cue) => byPrecedence(rankOf(cue), rankOf(first)) > 0);
  return after < 0
    ? [...others, ...written]
    : [...others.slice(0, after), ...written, ...others.slice(after)];
}

/** All cues that one sees, in the order in which they win on a leaf. */
export function bankCues({ bank, collections }: BankIndex): BankCue[] {
  return bank.entries
    .flatMap((entry) => {
      const collection = collections.get(entry.collection);
      if (!collection || entry.content.retired) return [];
      return entry.content.cues.map((cue) => toBankCue(entry, entry.content.title, cue, collection));
    })
    .sort((a, b) => byPrecedence(rankOf(a), rankOf(b)));
}
