import type { ClassCounts } from '#contracts';

type Term = ClassCounts['term'];

/** How often a slip was told in some assignments, and to how many people. */
export interface SlipSum {
  entry: string;
  title: string;
  count: number;
  people: number;
}

/** The slips of some assignments by their entries, the commonest first; an entry is called as it was called last. */
export function slipSums(term: Term): SlipSum[] {
  const sums = new Map<string, { title: string; count: number; people: Set<string> }>();
  for (const { slips } of term)
    for (const { entry, title, person, count } of slips) {
      const sum = sums.get(entry) ?? { title, count: 0, people: new Set() };
      sum.people.add(person);
      sums.set(entry, { ...sum, title, count: sum.count + count });
    }
  return [...sums]
    .map(([entry, { title, count, people }]) => ({ entry, title, count, people: people.size }))
    .sort((a, b) => b.count - a.count || b.people - a.people || a.title.localeCompare(b.title));
}

/** From so many pieces of work on, a slip is one that somebody keeps making. */
export const OFTEN = 3;

/** A slip that was told to somebody in several pieces of work. */
export interface SlipAgain {
  person: string;
  title: string;
  assignments: string[];
}

/** Who has had the same slip in `OFTEN` pieces of work and more, by their names. */
export function slipsAgain(term: Term): SlipAgain[] {
  const found = new Map<string, SlipAgain>();
  for (const { title: assignment, slips } of term)
    for (const { entry, title, person } of slips) {
      const key = `${person}\n${entry}`;
      const before = found.get(key)?.assignments ?? [];
      found.set(key, { person, title, assignments: [...before, assignment] });
    }
  return [...found.values()]
    .filter(({ assignments }) => assignments.length >= OFTEN)
    .sort((a, b) => a.person.localeCompare(b.person) || a.title.localeCompare(b.title));
}

/** Of each person the slips in each piece of work, in the order of the term; null where they handed nothing in that has any. */
export function slipsByPerson(term: Term): { person: string; counts: (number | null)[] }[] {
  const people = [...new Set(term.flatMap(({ slips }) => slips.map(({ person }) => person)))];
  return people
    .sort((a, b) => a.localeCompare(b))
    .map((person) => ({
      person,
      counts: term.map(({ slips }) => {
        const own = slips.filter((one) => one.person === person);
        return own.length === 0 ? null : own.reduce((sum, { count }) => sum + count, 0);
      }),
    }));
}
