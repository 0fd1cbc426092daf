import { wrap, type Remote } from 'comlink';
import { likelySpellings, partings } from '#core/spelling';
import { offerService } from '../offers';
import type { DictionaryPlace, SpellingService } from './spelling.worker';

let service: Remote<SpellingService> | null = null;

/** The worker that looks words up: one for the page, so that a dictionary is read once. */
function spellingService(): Remote<SpellingService> {
  service ??= wrap<SpellingService>(
    new Worker(new URL('./spelling.worker.ts', import.meta.url), { type: 'module' }),
  );
  return service;
}

/** A dictionary that can be asked: its language (BCP 47), and where it is had from. */
export interface Dictionary {
  language: string;
  place: DictionaryPlace;
}

/** Which of the words neither a dictionary nor any glossary of the team knows, each told for one. Throws where the dictionary cannot be had. */
export async function areRight(
  { language, place }: Dictionary,
  words: readonly string[],
): Promise<boolean[]> {
  const [inDictionary, inGlossaries] = await Promise.all([
    spellingService().areRight(language, place, words),
    offerService().areKnown(words),
  ]);
  return words.map((_, at) => inDictionary[at]! || inGlossaries[at]!);
}

/** What was likely meant by a word, the likeliest first: by how few slips, and how usual the glossaries say that it is. */
export async function spellingsFor({ language, place }: Dictionary, word: string): Promise<string[]> {
  const near = await spellingService().near(language, place, word, partings(word));
  // Of two words, the less usual says how usual they are.
  const parts = near.map((one) => one.split(' '));
  const usualness = await offerService().usualness(parts.flat());
  let at = 0;
  const byWord = new Map(
    parts.map((words, index) => [near[index]!, Math.min(...words.map(() => usualness[at++]!))]),
  );
  return likelySpellings(word, near, (one) => byWord.get(one)!);
}
