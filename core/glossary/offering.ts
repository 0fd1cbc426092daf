import { nearCues, type Lexicon, type ResolvedCue } from '#core/cue';
import { dateOffers } from './dateShorthand';
import { endingsOf } from './endings';
import { Families, familiesOf, hasChoices, membersOf, type Member } from './families';
import { familyOffers, SMALL_WORDS, withFamilies, type FamilySource } from './familyOffers';
import { folded } from './keys';
import { LookAlikes } from './lookAlikes';
import {
  OWN_LIST,
  type Offer,
  type OfferEntry,
  type OfferList,
  type OffersAnswer,
  type OffersAsked,
  type UsedThing,
} from './offer';
import { offersFor, usedOf, type OfferSource } from './offers';
import { bestFirst, TermIndex, type Offerable } from './termIndex';
import type { Term } from './wordList';

interface Held {
  source: OfferSource;
  /** The words of its terms of several words. */
  within: ReadonlySet<string>;
  notes: Map<string, string>;
  /** Null where none of its terms is a family. */
  families: Families | null;
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
    if (!/[\s/{-]/.test(text)) continue;
    for (const word of folded(text).split(/[\s/{|}-]+/)) words.add(word);
  }
  return words;
}

/** What the terms that are families stand for: of one family in the order in which its choices are written. */
const membersIn = (terms: readonly Term[]): Member[] =>
  terms.flatMap(({ text, weight }) =>
    membersOf(text).map((member, at, all) => ({ text: member, weight: weight + 1 - at / all.length })),
  );

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
  private smallWords: Families | null = null;
  /** How often what was used, by list and folded term. */
  private times = new Map<string, Map<string, number>>();

  /** Puts a glossary in, or in the place of the one with its id. */
  setList({ id, priority, careful, letters, terms: all }: OfferList): void {
    const terms = all.filter(({ text }) => !hasChoices(text));
    const offerables = bestFirst(
      terms.map(({ text, cue, weight }): Offerable =>
        cue ? { text, weight, cues: [cue] } : { text, weight },
      ),
    );
    const index = new TermIndex(offerables, letters);
    this.lists.set(id, {
      source: {
        ...{ id, kind: 'term', priority, index, used: this.usedOf(index, id) },
        goesFirst: id === OWN_LIST,
      },
      within: wordsWithin(all),
      families:
        terms.length < all.length ? new Families(membersIn(all.filter((one) => !terms.includes(one)))) : null,
      notes: new Map(terms.flatMap(({ text, note }) => (note ? [[text, note] as const] : []))),
      lookAlikes: careful ? new LookAlikes(terms.map(({ text }) => text)) : null,
    });
  }

  dropList(id: string): void {
    this.lists.delete(id);
  }

  /** Offers the small words that go together in a language (BCP 47); none for null. */
  setSmallWords(language: string | null): void {
    this.smallWords = language === null ? null : new Families(familiesOf(language));
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
    this.times = new Map();
    for (const { source, list, term, times } of used) {
      if (source !== 'term') continue;
      const known = this.times.get(list) ?? new Map<string, number>();
      this.times.set(list, known.set(folded(term), times));
    }
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
    const isWord = this.isWord(/\S*$/.exec(line)![0]);
    const withSmall = withFamilies(found, familyOffers(line, this.familySources()), isWord);
    const offers = [...dates, ...withSmall, ...this.endings(line)];
    const isCue = this.beginsLikeCue(line) && !found.some(({ by }) => by === 'cue');
    const near = isCue || offers.length === 0 ? this.near(line) : [];
    return [...near, ...offers].slice(0, MOST);
  }

  private familySources(): FamilySource[] {
    const none = new Map<string, number>();
    const of = (id: string, families: Families | null) =>
      families ? [{ id, families, times: this.times.get(id) ?? none }] : [];
    const lists = [...this.lists].filter(([id]) => this.inReach.has(id));
    return [...lists.flatMap(([id, { families }]) => of(id, families)), ...of(SMALL_WORDS, this.smallWords)];
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
