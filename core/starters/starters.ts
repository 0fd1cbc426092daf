import { DEFAULT_CUE_MAKING, DEFAULT_CUE_RULES } from '#core/cue';
import { notationErrorInWords, readEntry } from '#core/notation';
import type { CollectionFile } from '#core/takeover';
import { KIND_IDS, STARTER_TEXTS, type KindId, type StarterText } from '#core/work';
import { SYMBOLS } from './symbols';

/** A small collection to begin with: it stands on a shelf until somebody takes it, and is theirs then. */
export interface Starter extends StarterText {
  /** The kind of work it is for; null for all. */
  kind: KindId | null;
}

/** All starter collections, in the order of the kinds of work; then what is for all of them. */
export const STARTERS: readonly Starter[] = [
  ...KIND_IDS.flatMap((kind) => {
    const starter = STARTER_TEXTS[kind];
    return starter ? [{ ...starter, kind }] : [];
  }),
  {
    id: 'starter-symbols',
    name: 'Symbols',
    kind: null,
    about: 'Arrows, ticks, units and pictograms that no key brings, by their names.',
    notation: SYMBOLS,
  },
];

/** At the last letter of a cue: none of a starter begins as another does, which its test holds. */
const AT_ONCE = { ...DEFAULT_CUE_RULES, fires: 'last' as const };

/** What the cues of a starter begin with, until whoever adds it says otherwise. */
export const STARTER_LEAD_IN = ',';

const BETWEEN = /^====\n/m;

/**
 * A starter collection as a file that is taken over like that of another team, its cues behind a lead-in. Throws an Error where its
 * notation has a slip, which its test finds first.
 */
export function starterFile({ id, name, kind, notation }: Starter, leadIn: string): CollectionFile {
  const entries = notation
    .trim()
    .split(BETWEEN)
    .map((words, at) => {
      const read = readEntry(words);
      if (!read.ok) throw new Error(`${name}, entry ${at + 1}: ${notationErrorInWords(read.error)}`);
      return { id: `${id}-${at + 1}`, collection: id, content: read.value };
    });
  const settings = {
    ...{ id, parent: null, name, leadIn, cueRules: AT_ONCE, cuesBy: DEFAULT_CUE_MAKING },
    ...{ kindsOfWork: kind === null ? [] : [kind], language: 'en-GB' },
  };
  return { format: 'elderleaf-collection', version: 1, collections: [settings], entries };
}
