import type { Collection } from './collection';

/**
 * Collections in their order, but those of somebody's own kinds of work first: each top collection is moved with all that is
 * within it, and those that are for all work stay among the others. Order is kept otherwise.
 */
export function ownWorkFirst<C extends Pick<Collection, 'id' | 'parent' | 'kindsOfWork'>>(
  collections: readonly C[],
  kinds: ReadonlySet<string>,
): readonly C[] {
  const byId = new Map(collections.map((one) => [one.id, one]));
  const topOf = (one: C): C => {
    const around = one.parent === null ? undefined : byId.get(one.parent);
    return around ? topOf(around) : one;
  };
  const isOwn = (one: C) => topOf(one).kindsOfWork.some((kind) => kinds.has(kind));
  return [...collections.filter(isOwn), ...collections.filter((one) => !isOwn(one))];
}
