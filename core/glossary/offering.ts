import type { CalendarDate } from '#core/calendar';
import { nearCues, type Lexicon, type ResolvedCue } from '#core/cue';
import { dateOffers } from './dateShorthand';
import { endingsOf } from './endings';
import { folded } from './keys';
import { LookAlikes, type ReadBack } from './lookAlikes';
import { offersFor, usedOf, type OfferSource } from './offers';
import { bestFirst, TermIndex, type FoundBy, type Offerable } from './termIndex';
import type { Term } from './wordList';

/** Why something is offered. */
export type OfferedBy = FoundBy | 'date' | 'ending' | 'mistyped' | 'no-lead-in';

/** Something offered at the caret, ready to be shown and taken. */
export interface Offer {
  kind: 'entry' | 'term' | 'date';
  /** What is put down; of an entry, its title. */
  text: string;
  /** The entry's id, or the glossary's; '' for a date. */
  list: string;
  by: OfferedBy;
  /** Where in the line what it replaces begins. */
  from: number;
  /** How often this person has used it. */
  times: number;
  /** What must be read back before it stands; null for nothing. */
  readBack: (ReadBack & { note: string }) | null;
}

/** Stands for a glossary where a term is of the text alone that is written on. */
export const OWN_LIST = 'this-text';

/** A glossary as it is offered from. */
export interface OfferList {
  id: string;
  priority: number;
  /** Whether look-alikes are read back. */
  careful: boolean;
  terms: readonly Term[];
}

/** An entry in reach as it is offered. */
export interface OfferEntry {
  id: string;
  title: string;
  cues: ResolvedCue[];
  leadIn: string;
  /** The first words of its wordings. */
  beginnings: string[];
  /** All its words, where they are one paragraph without blanks; null otherwise. */
  whole: string | null;
}

/** What a member has used, by glossary and term, or by entry. */
export interface UsedThing {
  source: 'entry' | 'term';
  list: string;
  term: string;
  times: number;
}

/** What stands before the caret, and where. */
export interface OffersAsked {
  line: string;
  today: CalendarDate;
  language: string;
  /** A term was taken right here: its endings are what is wanted. */
  taken: boolean;
}

/** What comes of a question. */
export interface OffersAnswer {
  offers: Offer[];
  isWord: boolean;
  /** The entry whose words were just typed in full, though a cue would have brought them; null for none. */
  missed: string | null;
}

interface Held {
  source: OfferSource;
  /** The words of its terms of several words. */
  within: ReadonlySet<string>;
  notes: Map<string, string>;
  /** Null where nothing is read back. */
  lookAlikes: LookAlikes | null;
}

const MOST = 9;
/** Words as they are compared when they were typed by hand: whatever their capitals, and with or without a last stop. */
const inFull = (text: string) => folded(text).replace(/[\s.!?]+$/, '');
/** Shorter words are typed as quickly as their cue. */
const SHORTEST_MISSED = 12;
/** No more is known of a line before the caret; of longer wordings the end is compared. */
const LONGEST_LOOKED_AT = 70;

const ENTRIES = 'entries';
/** Entries are offered before terms where a sentence begins, as they do; after them where one is being written. */
const ENTRY_PRIORITY = { first: 10, within: -1 };
const STARTS = /(?:^|[.!?:]\s+)[^\s.!?:]*$/;

/** The words that terms of several words are made of, as they are compared. */
function wordsWithin(terms: readonly Term[]): Set<string> {
  const words = new Set<string>();
  for (const { text } of terms) {
    if (!/[\s/-]/.test(text)) continue;
    for (const word of folded(text).split(/[\s/-]+/)) words.add(word);
  }
  return words;
}

/** All that can be offered to one person on one leaf, and the answer to each key. */
export class Offering {
  private readonly lists = new Map<string, Held>();
  private entries: OfferSource | null = null;
  private entryIds: string[] = [];
  private entryPlaces = new Map<string, number>();
  private cues: ResolvedCue[] = [];
  private leadIns = new Map<string, string>();
  /** Entries that say the same each time and have a cue, by the last letters of their words. */
  private whole = new Map<string, { words: string; entry: string }[]>();
  private used: readonly UsedThing[] = [];
  private inReach: ReadonlySet<string> = new Set();

  /** Puts a glossary in, or in the place of the one with its id. */
  setList({ id, priority, careful, terms }: OfferList): void {
    const offerables = bestFirst(
      terms.map(({ text, cue, weight }): Offerable =>
        cue ? { text, weight, cues: [cue] } : { text, weight },
      ),
    );
    const index = new TermIndex(offerables);
    this.lists.set(id, {
      source: {
        ...{ id, kind: 'term', priority, index, used: this.usedOf(index, id) },
        goesFirst: id === OWN_LIST,
      },
      within: wordsWithin(terms),
      notes: new Map(terms.flatMap(({ text, note }) => (note ? [[text, note] as const] : []))),
      lookAlikes: careful ? new LookAlikes(terms.map(({ text }) => text)) : null,
    });
  }

  dropList(id: string): void {
    this.lists.delete(id);
  }

  /** Says which glossaries are in reach; the others keep their index but offer nothing. */
  setReach(ids: readonly string[]): void {
    this.inReach = new Set(ids);
  }

  /** The entries in reach, all of them. */
  setEntries(entries: readonly OfferEntry[]): void {
    this.cues = entries.flatMap(({ cues }) => cues);
    this.leadIns = new Map(entries.map(({ id, leadIn }) => [id, leadIn]));
    this.whole = new Map();
    for (const { id, whole, cues } of entries) {
      const words = inFull(whole ?? '').slice(-LONGEST_LOOKED_AT);
      if (cues.length === 0 || words.length < SHORTEST_MISSED) continue;
      const end = words.slice(-SHORTEST_MISSED);
      this.whole.set(end, [...(this.whole.get(end) ?? []), { words, entry: id }]);
    }
    const byId = entries.map(({ id, title, cues, leadIn, beginnings }) => ({
      id,
      text: title,
      weight: 0,
      cues: cues.flatMap(({ typed }) => [typed, typed.slice(leadIn.length)]),
      beginnings,
    }));
    const ordered = bestFirst(byId);
    this.entryIds = ordered.map(({ id }) => id);
    this.entryPlaces = new Map(this.entryIds.map((id, place) => [id, place]));
    const index = new TermIndex(ordered);
    const used = this.usedOf(index, null);
    this.entries = { id: ENTRIES, kind: 'entry', priority: ENTRY_PRIORITY.first, index, used };
  }

  /** What this person has used in this kind of work; told anew when it has changed much. */
  setUsed(used: readonly UsedThing[]): void {
    this.used = used;
    for (const [id, held] of this.lists) held.source.used = this.usedOf(held.source.index, id);
    if (this.entries) this.entries.used = this.usedOf(this.entries.index, null);
  }

  /** What to offer, best first, nine at the most; and whether what is typed last is a word of a list as it is. */
  ask(asked: OffersAsked): OffersAnswer {
    return {
      offers: this.offers(asked),
      isWord: this.isWord(/[^\s]*$/.exec(asked.line)![0]),
      missed: this.missed(asked.line),
    };
  }

  /** The words of all lists, as clashes are judged by: also of those that are out of reach just now. */
  get lexicon(): Lexicon {
    const sources = [...this.lists.values()].map(({ source }) => source.index);
    const first = (find: (index: TermIndex) => string | undefined) => {
      for (const index of sources) {
        const word = find(index);
        if (word !== undefined) return word;
      }
      return null;
    };
    return {
      isWord: (word) => sources.some((index) => index.idOf(word) !== undefined),
      longer: (beginning) => first((index) => index.longer(beginning)),
      endingIn: (end) => first((index) => index.endingIn(end)),
    };
  }

  /** Whether a list knows a word, by itself or within a term; also of those that are out of reach just now. */
  isKnown(word: string): boolean {
    const plain = folded(word);
    return [...this.lists.values()].some(
      ({ source, within }) => within.has(plain) || source.index.idOf(plain) !== undefined,
    );
  }

  /** How usual a word is: the highest weight that a list gives it, 100 at the most; 0 where none has it. */
  usualness(word: string): number {
    const plain = folded(word);
    const weights = [...this.lists.values()].map(({ source: { index } }) => {
      const id = index.idOf(plain);
      return id === undefined ? 0 : index.terms[id]!.weight;
    });
    return Math.min(100, Math.max(0, ...weights));
  }

  private missed(line: string): string | null {
    const typed = inFull(line);
    const found = this.whole.get(typed.slice(-SHORTEST_MISSED)) ?? [];
    return found.find(({ words }) => typed.endsWith(words))?.entry ?? null;
  }

  private offers({ line, today, language, taken }: OffersAsked): Offer[] {
    if (taken) return this.endings(line);
    const dates = dateOffers(line, today, language).map((date): Offer => ({
      kind: 'date',
      text: date.text,
      list: '',
      by: 'date',
      from: date.from,
      times: 0,
      readBack: null,
    }));
    const found = offersFor(line, this.sources(line), MOST).map((offer): Offer => {
      const isEntry = offer.kind === 'entry';
      const list = isEntry ? this.entryIds[offer.id]! : offer.source;
      const { kind, text, by, from, times } = offer;
      return { kind, text, list, by, from, times, readBack: isEntry ? null : this.readBackOf(list, text) };
    });
    const offers = [...dates, ...found, ...this.endings(line)];
    const isCue = this.beginsLikeCue(line) && !found.some(({ by }) => by === 'cue');
    const near = isCue || offers.length === 0 ? this.near(line) : [];
    return [...near, ...offers].slice(0, MOST);
  }

  private sources(line: string): OfferSource[] {
    const glossaries = [...this.lists.values()].flatMap(({ source }) =>
      this.inReach.has(source.id) ? [source] : [],
    );
    if (!this.entries) return glossaries;
    this.entries.priority = STARTS.test(line) ? ENTRY_PRIORITY.first : ENTRY_PRIORITY.within;
    return [this.entries, ...glossaries];
  }

  private usedOf(index: TermIndex, list: string | null) {
    const times = new Map<string, number>();
    for (const { source, list: of, term, times: count } of this.used) {
      if (list === null ? source === 'entry' : source === 'term' && of === list)
        times.set(list === null ? of : folded(term), count);
    }
    const byEntry = list === null ? (id: string) => this.entryPlaces.get(id) : undefined;
    return times.size === 0 ? null : usedOf(index, times, byEntry);
  }

  private readBackOf(list: string, text: string): Offer['readBack'] {
    const held = this.lists.get(list);
    const alike = held?.lookAlikes?.of(text);
    const note = held?.notes.get(text) ?? '';
    return alike || note ? { strengths: [], names: [], ...alike, note } : null;
  }

  private endings(line: string): Offer[] {
    const word = /[A-Za-z]+$/.exec(line)?.[0] ?? '';
    const lists = [...this.lists.values()].filter(({ source }) => this.inReach.has(source.id));
    const listOf = (form: string) =>
      lists.find(({ source }) => source.index.idOf(form) !== undefined)?.source.id;
    const plain = word.toLowerCase();
    if (!listOf(plain)) return [];
    return endingsOf(plain, (form) => listOf(form) !== undefined).map((form) => ({
      kind: 'term',
      text: form,
      list: listOf(form)!,
      by: 'ending',
      from: line.length - word.length,
      times: 0,
      readBack: null,
    }));
  }

  /** Whether what is typed last begins with a lead-in that is in reach: a cue is meant, and no word. */
  private beginsLikeCue(line: string): boolean {
    const typed = /\S*$/.exec(line)![0];
    return [...new Set(this.leadIns.values())].some((leadIn) => leadIn !== '' && typed.startsWith(leadIn));
  }

  /** What was perhaps meant: a cue one slip away, or without its lead-in; right at the word, or a space behind it. */
  private near(line: string): Offer[] {
    const match = /(\S+) ?$/.exec(line);
    if (!match) return [];
    const typed = match[1]!;
    if (this.isWord(typed)) return [];
    const near = nearCues(typed, this.cues, (cue) => this.leadIns.get(cue.entry) ?? '');
    return near.slice(0, 3).map(({ cue, slip }) => ({
      kind: 'entry',
      text: this.titleOf(cue.entry),
      list: cue.entry,
      by: slip,
      from: match.index,
      times: 0,
      readBack: null,
    }));
  }

  private isWord(typed: string): boolean {
    const plain = folded(typed).replace(/^[^\p{L}\p{N}]+/u, '');
    return (
      plain !== '' && [...this.lists.values()].some(({ source }) => source.index.idOf(plain) !== undefined)
    );
  }

  private titleOf(entry: string): string {
    return this.entries?.index.terms[this.entryPlaces.get(entry) ?? -1]?.text ?? '';
  }
}
