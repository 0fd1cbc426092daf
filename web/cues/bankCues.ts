import type { Collection, Entry } from '#contracts';
import { resolveCue, type BankCue, type Cue } from '#core/cue';
import { inOrder } from '#core/language';
import type { BankIndex } from '../bank/bankIndex';

/** A cue of the bank as it is told of in clashes. */
function toBankCue(entry: Pick<Entry, 'id'>, title: string, cue: Cue, collection: Collection): BankCue {
  const { id, name, kindsOfWork, leadIn } = collection;
  return { ...resolveCue(entry.id, cue, collection), title, leadIn, collection: { id, name, kindsOfWork } };
}

/** An entry that is being written: its cues as they stand on the page. */
export interface WrittenCues {
  /** '' for one that is not kept yet. */
  entry: string;
  title: string;
  cues: readonly Cue[];
  collection: Collection | undefined;
}

/** All cues with those of one entry as they are being written. Last, so that of two alike it is the one to change. */
export function withWritten(
  all: readonly BankCue[],
  { entry, title, cues, collection }: WrittenCues,
): BankCue[] {
  const others = all.filter((cue) => cue.entry !== entry);
  if (!collection) return others;
  const written = cues.filter(({ text }) => text !== '');
  return [...others, ...written.map((cue) => toBankCue({ id: entry }, title, cue, collection))];
}

/** All cues that one sees, one's own before shared ones, as they win on a leaf. */
export function bankCues({ bank, collections }: BankIndex): BankCue[] {
  const own = (id: string) => (collections.get(id)?.own ? 0 : 1);
  return [...bank.entries]
    .sort((a, b) => own(a.collection) - own(b.collection) || inOrder(a.content.title, b.content.title))
    .flatMap((entry) => {
      const collection = collections.get(entry.collection);
      if (!collection || entry.content.retired) return [];
      return entry.content.cues.map((cue) => toBankCue(entry, entry.content.title, cue, collection));
    });
}
