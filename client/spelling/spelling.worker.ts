import { expose } from 'comlink';
import nspell from 'nspell';

/** Where a dictionary is had from: its rules and its words in hunspell's format, at addresses of their own or in one answer of the API. */
export type DictionaryPlace = { rules: string; words: string } | { both: string };

async function fetched(url: string): Promise<Response> {
  const response = await fetch(url);
  if (!response.ok) throw new Error(`The dictionary could not be loaded: ${response.status}.`);
  return response;
}

async function dictionaryAt(place: DictionaryPlace): Promise<{ rules: string; words: string }> {
  if ('both' in place) return (await (await fetched(place.both)).json()) as { rules: string; words: string };
  const [rules, words] = await Promise.all(
    [place.rules, place.words].map(async (url) => (await fetched(url)).text()),
  );
  return { rules: rules!, words: words! };
}

/** Looks words up in dictionaries, away from the thread that takes keys. Each is read when it is first asked about, and kept. */
export class SpellingService {
  private readonly spellers = new Map<string, Promise<nspell>>();

  private of(language: string, place: DictionaryPlace): Promise<nspell> {
    const known = this.spellers.get(language);
    if (known) return known;
    const read = dictionaryAt(place).then(({ rules, words }) => nspell(rules, words));
    this.spellers.set(language, read);
    // What could not be had is asked for again the next time.
    read.catch(() => this.spellers.delete(language));
    return read;
  }

  /** Which of the words the dictionary of a language does not know, each asked for one. Throws where the dictionary cannot be had or read. */
  async areRight(language: string, place: DictionaryPlace, words: readonly string[]): Promise<boolean[]> {
    const speller = await this.of(language, place);
    return words.map((word) => speller.correct(word));
  }

  /** What the dictionary has that is near to a word, in no order that says which is likely; of two words it may be parted into, those that are both right. */
  async near(
    language: string,
    place: DictionaryPlace,
    word: string,
    partings: readonly (readonly string[])[],
  ): Promise<string[]> {
    const speller = await this.of(language, place);
    const isRight = (part: string) => (part.length > 1 || /^[ai]$/i.test(part)) && speller.correct(part);
    const parted = partings.filter((parts) => parts.every(isRight));
    return [...speller.suggest(word), ...parted.map((parts) => parts.join(' '))];
  }
}

expose(new SpellingService());
