import { DEFAULT_CUE_MAKING, DEFAULT_CUE_RULES } from '#core/cue';
import { notationErrorInWords, readEntry } from '#core/notation';
import type { CollectionFile } from '#core/takeover';
import type { KindId } from '#core/work';
import { FEEDBACK } from './feedback';
import { REPLIES } from './replies';
import { SYMBOLS } from './symbols';
import { TRANSCRIPTS } from './transcripts';
import { WARD_NOTES } from './wardNotes';

/** A small collection to begin with: it stands on a shelf until somebody takes it, and is theirs then. */
export interface Starter {
  id: string;
  name: string;
  /** The kind of work it is for; null for all. */
  kind: KindId | null;
  /** What is in it, in a sentence. */
  about: string;
  /** Its entries in the compact notation (docs/NOTATION.md), with a line of ==== between two. */
  notation: string;
}

/** All starter collections, in the order of the kinds of work. */
export const STARTERS: readonly Starter[] = [
  {
    id: 'starter-ward-notes',
    name: 'Starter ward notes',
    kind: 'admission',
    about: 'What one writes on a round. Every finding is asked for; nothing is asserted.',
    notation: WARD_NOTES,
  },
  {
    id: 'starter-feedback',
    name: 'Starter comments',
    kind: 'feedback',
    about: 'Comments beside a passage, a next step, a summing-up.',
    notation: FEEDBACK,
  },
  {
    id: 'starter-transcripts',
    name: 'Starter transcript marks',
    kind: 'transcript',
    about: 'Marks for what cannot be heard, turns of speakers, a heading.',
    notation: TRANSCRIPTS,
  },
  {
    id: 'starter-replies',
    name: 'Starter replies',
    kind: 'reply',
    about: 'From the greeting to the signature.',
    notation: REPLIES,
  },
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
