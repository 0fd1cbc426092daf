import { commentsOf, type DraftComment, type DraftDocument } from '#core/draft';
import { linesOf } from '#core/passage';
import type { Criterion } from './assignment';

/** One of the levels of a criterion. */
export type CriterionLevel = Criterion['levels'][number];

/** What the comments on one submission come to under one criterion. */
export interface CriterionCount {
  /** By its name; '' for comments that count towards none. */
  name: string;
  praise: number;
  faults: number;
  /** The criterion as the assignment has it; null for a name that only comments have. */
  criterion: Criterion | null;
  /** The level it was given; null for none yet. */
  level: CriterionLevel | null;
}

/** How often one thing was said, by the title of its entry. */
export interface SaidOften {
  title: string;
  count: number;
}

/** What the comments on one submission come to. */
export interface Tally {
  comments: number;
  /** In the assignment's order, then those that only comments name, then what counts towards none. */
  criteria: CriterionCount[];
  /** The points of all levels given, and the most that could be; null where no level has any. */
  points: { given: number; most: number } | null;
  /** Entries that count as a fault and as praise, the commonest first, alike ones by their titles. */
  faults: SaidOften[];
  praised: SaidOften[];
}

/** Whether two name the same criterion: letters count, and not which are capitals. */
export const isSameName = (one: string, other: string): boolean =>
  one.trim().toLowerCase() === other.trim().toLowerCase();

/** The title of the entry that a comment was first placed from; null for one written by hand. */
export function entryOfComment(
  document: DraftDocument,
  { passage }: DraftComment,
): { id: string; title: string } | null {
  for (const line of linesOf(passage)) {
    for (const inline of line) {
      const mark = inline.marks?.find(({ type }) => type === 'placed');
      const placed = mark?.type === 'placed' ? document.attrs.placements[mark.attrs.placement] : undefined;
      if (placed) return { id: placed.entry, title: placed.title };
    }
  }
  return null;
}

function saidOften(titles: readonly string[]): SaidOften[] {
  const counts = new Map<string, number>();
  for (const title of titles) counts.set(title, (counts.get(title) ?? 0) + 1);
  return [...counts]
    .map(([title, count]) => ({ title, count }))
    .sort((one, other) => other.count - one.count || one.title.localeCompare(other.title));
}

/** The most points that criteria can come to together; null where none of their levels has any. */
export function mostPoints(criteria: readonly Criterion[]): number | null {
  const each = criteria.flatMap(({ levels }) => {
    const points = levels.flatMap((level) => level.points ?? []);
    return points.length > 0 ? [Math.max(...points)] : [];
  });
  return each.length > 0 ? each.reduce((sum, one) => sum + one, 0) : null;
}

const countOf = (name: string): CriterionCount => ({
  name,
  praise: 0,
  faults: 0,
  criterion: null,
  level: null,
});

/** Points to three places at the most: halves and thirds add up to what a person would write. */
const exact = (sum: number): number => Math.round(sum * 1000) / 1000;

/**
 * What the comments of a draft come to: by criterion, praise and faults; levels and their points; what was said most often. A comment
 * that points back to another counts as that one does: the slip was made there too.
 */
export function tallyOf(document: DraftDocument, criteria: readonly Criterion[]): Tally {
  const comments = commentsOf(document);
  const levels = document.attrs.levels ?? {};
  const counts: CriterionCount[] = criteria.map((criterion) => ({
    ...{ name: criterion.name, praise: 0, faults: 0, criterion },
    level: criterion.levels.find(({ id }) => id === levels[criterion.id]) ?? null,
  }));
  const toNone = countOf('');
  const titles: Record<'praise' | 'fault', string[]> = { praise: [], fault: [] };
  for (const comment of comments) {
    const { criterion = '', as } = comment.counts ?? { as: null };
    if (as === null) continue;
    let count = criterion === '' ? toNone : counts.find(({ name }) => isSameName(name, criterion));
    if (!count) counts.push((count = countOf(criterion)));
    count[as === 'praise' ? 'praise' : 'faults'] += 1;
    const first = comment.again && comments.find(({ id }) => id === comment.again!.of);
    const entry = entryOfComment(document, first ?? comment);
    if (entry) titles[as].push(entry.title);
  }
  if (toNone.praise + toNone.faults > 0) counts.push(toNone);
  const most = mostPoints(criteria);
  const given = exact(counts.reduce((sum, { level }) => sum + (level?.points ?? 0), 0));
  return {
    comments: comments.length,
    criteria: counts,
    points: most === null ? null : { given, most: exact(most) },
    faults: saidOften(titles.fault),
    praised: saidOften(titles.praise),
  };
}
