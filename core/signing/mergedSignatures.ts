import type { Signature } from './signature';

const LISTS = ['kinds', 'collections'] as const;
const TEXTS = ['label', 'name', 'job', 'email', 'phone', 'address'] as const;

/** Whether two sets sign alike, and in the same places. */
const isAlike = (a: Signature, b: Signature): boolean =>
  TEXTS.every((key) => a[key] === b[key]) &&
  LISTS.every((key) => a[key].length === b[key].length && a[key].every((id) => b[key].includes(id)));

const byId = (sets: readonly Signature[]) => new Map(sets.map((set) => [set.id, set]));

/**
 * Sets of details as two windows of one member leave them: `had` is what both began with, `mine` what this one makes of it,
 * `theirs` what the other has saved meanwhile. A set that both changed is as it is here; one that was removed on one side and
 * changed on the other stays, so that nothing that was written is lost.
 */
export function mergedSignatures(
  had: readonly Signature[],
  mine: readonly Signature[],
  theirs: readonly Signature[],
): Signature[] {
  const [before, here, there] = [byId(had), byId(mine), byId(theirs)];
  const isUntouched = (set: Signature) => {
    const was = before.get(set.id);
    return was !== undefined && isAlike(was, set);
  };
  const kept = mine.flatMap((set) => {
    if (!isUntouched(set)) return [set];
    const other = there.get(set.id);
    return other ? [other] : [];
  });
  return [...kept, ...theirs.filter((set) => !here.has(set.id) && !isUntouched(set))];
}
