/** What the parts of the companion say to each other: pages and their slip, the small window of the toolbar, and the background. */
import type { Entry, PageCard, Use } from '#contracts';
import type { Closer, CueRules, ResolvedCue } from '#core/cue';
import type { CaseRecord } from '#core/record';
import type { Writer } from '#core/signing';

/** How words are put into a box: as it takes them, or as one said for a page. */
export type Form = 'by-box' | 'plain' | 'markdown';

/** The cues in reach, as they are sent to a page: each with the number of its rules. */
export interface PackedCues {
  /** Changes whenever the cues do. */
  print: string;
  rules: CueRules[];
  typed: [typed: string, entry: string, rules: number][];
  keys: [typed: string, entry: string][];
  hasPatterns: boolean;
  /** What cues in reach begin with: what stands behind it is offered for. */
  leadIns: string[];
}

/** Where a part of a wording goes on a page: by what its box is told by. */
export type BoxName = { by: 'id' | 'name' | 'label'; value: string } | 'nowhere';

/** What a page begins with; null where nothing is looked at there. */
export interface PageBeginning {
  form: Form;
  cues: PackedCues;
  boxes: Record<string, BoxName>;
  /** Whether entries are offered for what is typed behind a lead-in. */
  offers: boolean;
}

/** What is offered beneath the caret: an entry, or a file that goes along with one. */
export interface OfferedRow {
  id: string;
  title: string;
  cue: string | null;
}

/** All it takes to fill an entry. */
export interface EntryToFill {
  entry: Entry;
  /** Everything that stands within it, by id. */
  included: Entry[];
  /** Those within it that have no wording for the page, where their like have one: they are asked for. */
  missing: string[];
  writer: Writer;
}

/** Where an entry can be filled from besides what is typed; each only when it is asked for. */
export interface Sources {
  /** What the case is called that is open in Elderleaf; null where none is. */
  openCase: string | null;
  /** Where details are on this page; null where nobody has shown it. */
  card: PageCard | null;
}

/** An entry as the look-up lists it. */
export interface FoundEntry {
  id: string;
  title: string;
  cue: string | null;
  collection: string;
  words: string;
}

/** A collection as the list of all walks it. */
export interface ListedCollection {
  id: string;
  name: string;
  parent: string | null;
  entries: FoundEntry[];
}

/** What the small window of the toolbar shows. */
export interface Status {
  joined: { address: string; member: string; name: string } | null;
  entries: number;
  cues: number;
  /** When the bank was last asked for, in milliseconds since 1970; null for never. */
  renewedAt: number | null;
  /** Uses that wait to be told. */
  waiting: number;
  /** What hindered the last renewal; null for nothing. */
  trouble: string | null;
  /** Whether its member may show where details stand on pages. */
  isOwner: boolean;
  /** Whether entries are offered for what is typed behind a lead-in. */
  offers: boolean;
  page: PageStatus | null;
}

/** What is so on the page in front. */
export interface PageStatus {
  host: string;
  origin: string;
  /** `asked`: not granted yet. `own`: Elderleaf itself. */
  state: 'on' | 'off' | 'asked' | 'left-alone' | 'own';
  form: Form;
  /** Hosts of frames within the page that are not granted. */
  frames: string[];
}

/** All questions to the background, with what comes back. */
export interface Questions {
  'begin-page': { with: { host: string }; gives: PageBeginning | null };
  entry: { with: { entry: string; address: string }; gives: EntryToFill | null };
  pattern: {
    with: { line: string; closer: Closer };
    gives: { cue: ResolvedCue; typed: string; groups: { name: string | null; text: string | null }[] } | null;
  };
  slip: { with: object; gives: boolean };
  used: { with: { use: Use }; gives: null };
  offers: { with: { leadIn: string; words: string }; gives: OfferedRow[] };
  'entry-file': {
    with: { entry: string; hash: string };
    gives: { base64: string; trouble: null } | { base64: null; trouble: string };
  };
  'switch-offers': { with: { on: boolean }; gives: null };
  find: { with: { words: string }; gives: FoundEntry[] };
  list: { with: object; gives: ListedCollection[] };
  sources: { with: { host: string }; gives: Sources };
  'open-case': { with: object; gives: CaseRecord | null };
  point: { with: { tab: number }; gives: null };
  taught: {
    with: { host: string; places: (PageCard['places'][number] & { says: string })[] };
    gives: boolean;
  };
  'remember-box': { with: { host: string; part: string; box: BoxName }; gives: null };
  'keep-words': { with: { words: string }; gives: boolean };
  'switch-page': { with: { host: string; on: boolean }; gives: null };
  'form-of-page': { with: { host: string; form: Form }; gives: null };
  'forget-boxes': { with: { host: string }; gives: null };
  status: { with: { tab: number | null }; gives: Status };
  join: { with: { address: string; code: string; name: string }; gives: { trouble: string | null } };
  leave: { with: object; gives: null };
  renew: { with: object; gives: null };
  'page-granted': { with: { tab: number }; gives: null };
}

/** The name of a question. */
export type Question = keyof Questions;
/** What is sent: a question with what belongs to it. */
export type Asked = { [Q in Question]: { ask: Q } & Questions[Q]['with'] }[Question];

/** Asks the background. Gives null where it is gone, as after the companion was renewed under an open page. */
export async function ask<Q extends Question>(
  question: Q,
  given: Questions[Q]['with'],
): Promise<Questions[Q]['gives'] | null> {
  try {
    return await chrome.runtime.sendMessage<Asked, Questions[Q]['gives']>({
      ask: question,
      ...given,
    } as Asked);
  } catch {
    return null;
  }
}

/** What pages are told unasked: that what they began with is another now. */
export interface PageTold {
  tell: 'begin-again';
}
