import { expose } from 'comlink';
import { clashesOf, proposeCue, type BankCue, type Clash } from '#core/cue';
import {
  newTerm,
  Offering,
  OWN_LIST,
  readWordList,
  type LettersCounted,
  type OffersAnswer,
  type OffersAsked,
  type OfferEntry,
  type UsedThing,
} from '#core/glossary';
import { AnswerBoard } from './answerBoard';

/** A glossary to be offered from, and where its terms are. */
export interface ListPlace {
  id: string;
  priority: number;
  careful: boolean;
  letters: readonly LettersCounted[];
  /** Changes whenever the terms do: a list that is here already is not fetched again. */
  version: number;
  /** The address of the terms: a word list, or the API's answer that holds one. */
  url: string;
}

async function termsAt(url: string): Promise<string> {
  const response = await fetch(url);
  if (!response.ok) throw new Error(`The terms could not be loaded: ${response.status}.`);
  if (!response.headers.get('Content-Type')?.includes('json')) return response.text();
  return ((await response.json()) as { terms: string }).terms;
}

/** Builds the indexes and answers each key, away from the thread that takes keys. */
export class OfferService {
  private readonly offering = new Offering();
  private board: AnswerBoard | null = null;
  private readonly held = new Map<string, string>();

  /** Fetches and indexes a list, unless it is here as it is. Throws when its terms cannot be had; it is asked for again then. */
  async setList({ id, priority, careful, letters, version, url }: ListPlace): Promise<void> {
    const print = `${version} ${priority} ${careful} ${letters.join()}`;
    if (this.held.get(id) === print) return;
    this.held.set(id, print);
    try {
      const { terms } = readWordList(await termsAt(url));
      // Another version may have been asked for meanwhile.
      if (this.held.get(id) === print) this.offering.setList({ id, priority, careful, letters, terms });
    } catch (error) {
      this.held.delete(id);
      throw error;
    }
  }

  /** Lets go of the lists that are not there any more. */
  keepOnly(ids: readonly string[]): void {
    for (const id of this.held.keys()) {
      if (ids.includes(id)) continue;
      this.held.delete(id);
      this.offering.dropList(id);
    }
  }

  setReach(ids: readonly string[]): void {
    this.offering.setReach([...ids, OWN_LIST]);
  }

  /** Terms of the text alone that is written on, before those of any glossary; none where it has none. */
  setOwn(terms: readonly string[]): void {
    const list = { id: OWN_LIST, priority: 0, careful: false, terms: terms.map(newTerm) };
    if (terms.length > 0) this.offering.setList(list);
    else this.offering.dropList(OWN_LIST);
  }

  /** Offers the small words that go together in a language; none for null. */
  setSmallWords(language: string | null): void {
    this.offering.setSmallWords(language);
  }

  /** Whether a list that is here knows each as a word, whatever is in reach. */
  areWords(words: readonly string[]): boolean[] {
    const { isWord } = this.offering.lexicon;
    return words.map(isWord);
  }

  /** Whether a list that is here knows each as a word or as one of the words of a term, whatever is in reach. */
  areKnown(words: readonly string[]): boolean[] {
    return words.map((word) => this.offering.isKnown(word));
  }

  /** How usual each word is by the lists that are here, 0 to 100; 0 for one that none of them has. */
  usualness(words: readonly string[]): number[] {
    return words.map((word) => this.offering.usualness(word));
  }

  setEntries(entries: readonly OfferEntry[]): void {
    this.offering.setEntries(entries);
  }

  setUsed(used: readonly UsedThing[]): void {
    this.offering.setUsed(used);
  }

  /** Everything in which the cues of the bank are in conflict; proposals by the rules of their collections. */
  clashes(cues: readonly BankCue[]): Clash[] {
    const taken = new Map<string, string[]>();
    for (const { leadIn } of cues) {
      if (taken.has(leadIn)) continue;
      const alike = cues.filter(({ as, typed }) => !as && typed.startsWith(leadIn));
      taken.set(
        leadIn,
        alike.map(({ typed }) => typed.slice(leadIn.length)),
      );
    }
    const { lexicon } = this.offering;
    return clashesOf(cues, lexicon, ({ title, leadIn, collection }) => {
      const others = taken.get(leadIn)!;
      const proposed = proposeCue(title, others, collection.cuesBy, lexicon.isWord);
      // Two that are told to change must not be told the same.
      others.push(proposed);
      return proposed;
    });
  }

  /** From here on each answer is laid down there as well. */
  setBoard(memory: SharedArrayBuffer): void {
    this.board = new AnswerBoard(memory);
  }

  ask(asked: OffersAsked, number: number): OffersAnswer {
    const answer = this.offering.ask(asked);
    this.board?.write(number, answer);
    return answer;
  }
}

expose(new OfferService());
