import { within, type Branch } from './tree';

interface Node {
  id: string;
  parent: string | null;
}

/** Where something goes: within another or at the top, before one that is there, or last. */
export interface Goal {
  parent: string | null;
  before: string | null;
}

/** The goal that a line at `at` among the others stands for, as deep as it can be there, but no deeper than `depth`. */
function goalAt<T extends Node>(others: readonly Branch<T>[], at: number, depth: number): Goal {
  const above = others[at - 1];
  const below = others[at];
  const deep = Math.max(below?.depth ?? 0, Math.min(Math.max(0, depth), above ? above.depth + 1 : 0));
  const parent = others.slice(0, at).findLast((one) => one.depth === deep - 1);
  return { parent: parent?.node.id ?? null, before: below?.depth === deep ? below.node.id : null };
}

const without = <T extends Node>(branches: readonly Branch<T>[], id: string): Branch<T>[] => {
  const inside = within(
    id,
    branches.map(({ node }) => node),
  );
  return branches.filter(({ node }) => !inside.has(node.id));
};

/**
 * Where a line of a tree goes when it is let go over another, wanted so deep: after that one when it came from above,
 * before it when it came from below. Null when it was let go over itself or what is in it, unless it is to lie elsewhere.
 */
export function droppedOver<T extends Node>(
  branches: readonly Branch<T>[],
  id: string,
  over: string,
  depth: number,
): Goal | null {
  const from = branches.findIndex(({ node }) => node.id === id);
  const to = branches.findIndex(({ node }) => node.id === over);
  const moving = branches[from];
  if (!moving || to < 0) return null;
  const others = without(branches, id);
  const at = others.findIndex(({ node }) => node.id === over);
  if (at < 0) {
    // Let go where it was: only how deep it lies may have changed.
    const goal = id === over ? goalAt(others, from, depth) : null;
    return goal && goal.parent !== moving.node.parent ? goal : null;
  }
  return goalAt(others, to > from ? at + 1 : at, depth);
}

/** The four ways a line goes by keys. */
export type TreeWay = 'up' | 'down' | 'in' | 'out';

/**
 * Where a line of a tree goes by one key: up or down past the one beside it, into the one above it, or out of the one it is
 * in, to stand behind that. Null when there is no such place.
 */
export function stepped<T extends Node>(
  branches: readonly Branch<T>[],
  id: string,
  way: TreeWay,
): Goal | null {
  const depthOf = (one: string | null) => branches.find(({ node }) => node.id === one)?.depth ?? -1;
  const depth = depthOf(id);
  // Those beside it are within the same line, or at the top as it is, whatever is around them unseen.
  const aroundOf = (at: number) =>
    branches.slice(0, at).findLast((one) => one.depth === branches[at]!.depth - 1)?.node.id ?? null;
  const lines = branches.map((branch, at) => ({
    id: branch.node.id,
    depth: branch.depth,
    around: aroundOf(at),
  }));
  const own = lines.find((line) => line.id === id);
  if (!own) return null;
  const besideOf = (around: string | null, deep: number) =>
    lines.filter((line) => line.around === around && line.depth === deep).map((line) => line.id);
  const beside = besideOf(own.around, depth);
  const place = beside.indexOf(id);
  switch (way) {
    case 'up':
      return place > 0 ? { parent: own.around, before: beside[place - 1]! } : null;
    case 'down':
      return place < beside.length - 1 ? { parent: own.around, before: beside[place + 2] ?? null } : null;
    case 'in':
      return place > 0 ? { parent: beside[place - 1]!, before: null } : null;
    case 'out': {
      if (own.around === null) return null;
      const outer = lines.find((line) => line.id === own.around)!;
      const others = besideOf(outer.around, outer.depth);
      return { parent: outer.around, before: others[others.indexOf(outer.id) + 1] ?? null };
    }
  }
}
