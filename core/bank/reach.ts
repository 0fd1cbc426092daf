import { byPrecedence, CueIndex, resolveCue, type ResolvedCue } from '#core/cue';
import { isInReach, type OwnReach } from '#core/glossary';
import type { Entry } from './bank';
import type { BankIndex } from './bankIndex';
import { inPlace } from './variations';

/** What is switched on for the work in hand: its entries, and their cues ready to fire. */
export interface Reach {
  entries: Entry[];
  cues: CueIndex;
  /** The typed cues of that index, in the order in which they win. */
  typed: readonly ResolvedCue[];
  /** Cues that are keys, and those that are patterns; of two alike the first wins. */
  keys: ResolvedCue[];
  patterns: ResolvedCue[];
  /** Entries that a cue in reach brings, by how it is typed, in small letters; the one that wins first. */
  byTyped: ReadonlyMap<string, readonly string[]>;
  /** The cues of collections that are at hand but out of reach: they do not fire here, which is said. */
  outside: CueIndex;
}

/** The cues of entries that are in order of their titles, those first that win. */
function cuesOf(entries: readonly Entry[], { collections }: BankIndex): ResolvedCue[] {
  const isOwn = (entry: Entry) => collections.get(entry.collection)?.own === true;
  // As `byPrecedence` orders them: titles are compared once alone, since a bank may be large.
  return [...entries.filter(isOwn), ...entries.filter((entry) => !isOwn(entry))].flatMap((entry) => {
    const collection = collections.get(entry.collection);
    return collection ? entry.content.cues.map((cue) => resolveCue(entry.id, cue, collection)) : [];
  });
}

const byTitle = (a: Entry, b: Entry) =>
  byPrecedence(
    { own: false, title: a.content.title, entry: a.id },
    { own: false, title: b.content.title, entry: b.id },
  );

/** Works out what is in reach for a kind of work, as `own` switched it. */
export function makeReach(index: BankIndex, kind: string, own: OwnReach | undefined): Reach {
  const { bank, collections } = index;
  const inReach = new Set(
    bank.collections.filter((collection) => isInReach(collection, kind, own)).map(({ id }) => id),
  );
  const used = inPlace(bank.entries, collections)
    .filter(({ content }) => !content.retired)
    .sort(byTitle);
  const entries = used.filter(({ collection }) => inReach.has(collection));
  const cues = cuesOf(entries, index);
  const as = (kind: ResolvedCue['as']) => cues.filter((cue) => cue.as === kind);
  const typed = as(undefined);
  const byTyped = new Map<string, string[]>();
  for (const { typed: letters, entry, as: kind } of cues) {
    if (kind === 'pattern') continue;
    const alike = byTyped.get(letters.toLowerCase()) ?? [];
    byTyped.set(letters.toLowerCase(), [...alike, entry]);
  }
  const outside = cuesOf(
    used.filter(({ collection }) => !inReach.has(collection)),
    index,
  ).filter((cue) => !cue.as);
  return {
    entries,
    cues: new CueIndex(typed),
    typed,
    keys: as('keys'),
    patterns: as('pattern'),
    byTyped,
    outside: new CueIndex(outside),
  };
}
