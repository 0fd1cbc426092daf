import type { Grant, Grantee } from './rights';

/** What somebody is granted at a collection that is known. */
type Granted = Pick<Grant, 'to' | 'right'>;

/** By what one who is granted something is told from others. */
export const granteeKey = (to: Grantee): string => (to.kind === 'team' ? 'team' : `${to.kind} ${to.id}`);

/**
 * Two changes of what a collection grants made one: `mine` and `theirs` were both made from `base`. Each person, group and the team stands
 * by itself. Null where both gave one of them something else, or one took away what the other changed.
 */
export function mergedGrants<One extends Granted>(
  mine: readonly One[],
  base: readonly One[],
  theirs: readonly One[],
): One[] | null {
  const [my, was, their] = [mine, base, theirs].map(
    (grants) => new Map(grants.map((one) => [granteeKey(one.to), one])),
  ) as [Map<string, One>, Map<string, One>, Map<string, One>];
  const merged: One[] = [];
  for (const key of new Set([...their.keys(), ...my.keys()])) {
    const [a, b, c] = [my.get(key)?.right, was.get(key)?.right, their.get(key)?.right];
    if (a !== b && c !== b && a !== c) return null;
    const taken = a === b ? their.get(key) : my.get(key);
    if (taken) merged.push(taken);
  }
  return merged;
}
