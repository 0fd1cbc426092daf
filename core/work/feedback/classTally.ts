import { commentsOf, type DraftDocument } from '#core/draft';
import { plainText } from '#core/passage';
import type { Criterion } from './assignment';
import { entryOfComment, isSameName, tallyOf, type CriterionLevel } from './tally';

/** Somebody's submission, with what each tutor wrote on it. */
export interface JudgedSubmission {
  case: string;
  person: string;
  documents: readonly DraftDocument[];
}

/** A slip somebody made: a comment that counts as a fault, by its entry. */
export interface Slip {
  entry: string;
  title: string;
  person: string;
  count: number;
}

/** What the comments of all tutors come to for one person. */
export interface PersonTally {
  case: string;
  person: string;
  criteria: { criterion: string; praise: number; faults: number; level: string | null }[];
  /** Of all levels given; null where none has points. */
  points: number | null;
}

/** An entry by how many comments it brought, faults and praise alike, and on how many people's work. */
export interface PlacedOften {
  entry: string;
  title: string;
  comments: number;
  people: number;
}

/** A comment written by hand on several people's work: worth keeping as an entry. */
export interface WrittenOften {
  words: string;
  people: string[];
}

/** The level that a criterion was given: by the first tutor who gave one. */
function levelGiven({ documents }: JudgedSubmission, { id, levels }: Criterion): CriterionLevel | null {
  for (const { attrs } of documents) {
    const given = levels.find((level) => level.id === attrs.levels?.[id]);
    if (given) return given;
  }
  return null;
}

/** What the comments of all tutors on one submission come to, by the criteria of its assignment. */
export function personTally(judged: JudgedSubmission, criteria: readonly Criterion[]): PersonTally {
  const tallies = judged.documents.map((document) => tallyOf(document, criteria));
  const levels = criteria.map((criterion) => levelGiven(judged, criterion));
  const points = levels.flatMap((level) => level?.points ?? []);
  return {
    ...{ case: judged.case, person: judged.person },
    criteria: criteria.map(({ name }, at) => {
      const own = tallies.flatMap((tally) => tally.criteria.filter((one) => isSameName(one.name, name)));
      return {
        criterion: name,
        praise: own.reduce((sum, { praise }) => sum + praise, 0),
        faults: own.reduce((sum, { faults }) => sum + faults, 0),
        level: levels[at]?.name ?? null,
      };
    }),
    points: points.length === 0 ? null : Math.round(points.reduce((sum, one) => sum + one, 0) * 1000) / 1000,
  };
}

/** Each comment on submissions that came from an entry, with that entry; what points back to a comment came from the entry of that one. */
function* fromEntries(judged: readonly JudgedSubmission[]) {
  for (const { person, documents } of judged)
    for (const document of documents) {
      const comments = commentsOf(document);
      for (const comment of comments) {
        const first = comment.again && comments.find(({ id }) => id === comment.again!.of);
        const entry = entryOfComment(document, first ?? comment);
        if (entry) yield { person, comment, entry };
      }
    }
}

/** The entries that brought comments, those that brought most first. */
export function entriesPlaced(judged: readonly JudgedSubmission[]): PlacedOften[] {
  const found = new Map<string, { title: string; comments: number; people: Set<string> }>();
  for (const { person, entry } of fromEntries(judged)) {
    const one = found.get(entry.id) ?? { title: entry.title, comments: 0, people: new Set() };
    one.comments += 1;
    one.people.add(person);
    found.set(entry.id, one);
  }
  return [...found]
    .map(([entry, { people, ...one }]) => ({ entry, ...one, people: people.size }))
    .sort((one, other) => other.comments - one.comments || one.title.localeCompare(other.title));
}

/** The slips that were told on submissions, each person's by entry; what points back to a comment is the slip of that one. */
export function slipsOf(judged: readonly JudgedSubmission[]): Slip[] {
  const slips = new Map<string, Slip>();
  for (const { person, comment, entry } of fromEntries(judged)) {
    if (comment.counts?.as !== 'fault') continue;
    const key = `${person}\n${entry.id}`;
    const slip = slips.get(key) ?? { entry: entry.id, title: entry.title, person, count: 0 };
    slips.set(key, { ...slip, count: slip.count + 1 });
  }
  return [...slips.values()];
}

/** A comment of fewer letters is not worth keeping. */
const FEWEST_LETTERS = 12;

/** Comments written by hand in the same words on the work of several people, those on most people first. */
export function writtenOften(judged: readonly JudgedSubmission[]): WrittenOften[] {
  const found = new Map<string, { words: string; people: Set<string> }>();
  for (const { person, documents } of judged)
    for (const document of documents)
      for (const comment of commentsOf(document)) {
        if (comment.again || entryOfComment(document, comment)) continue;
        const words = plainText(comment.passage).trim().replace(/\s+/g, ' ');
        if (words.length < FEWEST_LETTERS) continue;
        const one = found.get(words.toLowerCase()) ?? { words, people: new Set() };
        one.people.add(person);
        found.set(words.toLowerCase(), one);
      }
  return [...found.values()]
    .filter(({ people }) => people.size > 1)
    .map(({ words, people }) => ({ words, people: [...people].sort((a, b) => a.localeCompare(b)) }))
    .sort((one, other) => other.people.length - one.people.length || one.words.localeCompare(other.words));
}
