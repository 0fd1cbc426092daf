import type { Answers } from '#core/draft';
import type { EntryContent, Wording } from '#core/entry';
import { answersFromRecord, fillWording, knowledgeOf, place, wordsOf, type PlaceRequest } from '#core/fill';
import { linesOf, textOfInlines } from '#core/passage';
import { branchesOf, type Random } from './branches';
import { odditiesOf, type Oddity } from './oddities';

/** A reading that is odd: how, what it says, and the answers that bring it. */
export interface OddReading {
  wording: string;
  part: string;
  code: Oddity['code'];
  /** The line as it reads, and where in it the oddity is. */
  line: string;
  from: number;
  to: number;
  answers: Answers;
  /** Those of the answers that choose between branches, in words: "Appetite: poor; Sex: female". */
  said: string;
}

/** What came of trying a wording's branches. */
export interface Trial {
  odd: OddReading[];
  tried: number;
  total: number;
}

type Setting = Pick<PlaceRequest, 'record' | 'today' | 'now' | 'writer' | 'find'> & {
  most: number;
  random: Random;
};

/** So many odd readings are told of one wording; more would be read by nobody. */
const TOLD = 20;

/** The details that the record answers; all else is tried. */
const knownFrom = (content: EntryContent, setting: Setting, language: string): Answers =>
  answersFromRecord(
    content.fields.filter(({ kind }) => kind === 'detail'),
    { ...setting, language },
  );

/** Kinds whose answers choose between branches; what the others hold tells nobody which reading it is. */
const CHOOSING = ['choice', 'yes-no', 'number', 'person'];

/** The answers that bring a reading, as words to know it by: four at the most. */
function answersInWords(content: EntryContent, wording: Wording, setting: Setting, answers: Answers): string {
  const entry = { id: 'tried', revision: 1, content };
  const { placement } = place({
    ...setting,
    entry,
    wording: wording.id,
    cue: null,
    id: 'tried',
    answers,
  });
  const know = knowledgeOf(placement);
  return placement.fields
    .filter(({ kind }) => CHOOSING.includes(kind))
    .slice(0, 4)
    .map((field) => {
      const answer = answers[field.id];
      const words = wordsOf(field, answer, 'as-is', placement.language, know);
      return `${field.name}: ${words || (field.kind === 'choice' && answer?.kind === 'chosen' ? 'none' : 'left out')}`;
    })
    .join('; ');
}

/** Each part read by itself: filling takes the last part of a wording. */
const alone = (content: EntryContent, wording: Wording, part: Wording['parts'][number]): EntryContent => ({
  ...content,
  wordings: [{ ...wording, parts: [part] }],
});

/**
 * Fills a wording in all its branches, or in a fair sample of them, and tells the readings that are odd; one of each kind
 * of oddity for each place, with the answers that first brought it.
 */
export function tryBranches(content: EntryContent, wording: Wording, setting: Setting): Trial {
  const { tried, total } = branchesOf(content, {
    ...setting,
    known: knownFrom(content, setting, wording.language),
  });
  const odd = new Map<string, OddReading>();
  const read = new Set<string>();
  for (const part of wording.parts) {
    read.clear();
    const entry = { id: 'tried', revision: 1, content: alone(content, wording, part) };
    for (const answers of tried) {
      const filled = fillWording({ ...setting, entry, answers });
      for (const line of linesOf(filled)) {
        const words = textOfInlines(line);
        // Most lines read the same in many branches.
        if (read.has(words)) continue;
        read.add(words);
        for (const { code, from, to } of odditiesOf(words, wording.language)) {
          // The words around it tell places apart, whatever else the line says.
          const key = `${part.id} ${code} ${words.slice(Math.max(0, from - 12), to + 12)}`;
          if (odd.has(key) || odd.size >= TOLD) continue;
          const said = answersInWords(content, wording, setting, answers);
          odd.set(key, { wording: wording.id, part: part.id, code, line: words, from, to, answers, said });
        }
      }
    }
  }
  return { odd: [...odd.values()], tried: tried.length, total };
}
