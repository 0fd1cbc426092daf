import { inOrder } from '#core/language';
import { grouped } from './grouped';

/** What a tree is made of: things each within another, or within none. */
interface Node {
  id: string;
  parent: string | null;
  position: number;
  name: string;
}

/** One line of a tree written from top to bottom. */
export interface Branch<T> {
  node: T;
  /** How deep it lies: 0 for those within none. */
  depth: number;
}

/** Collections in each other may lie so deep, and no deeper: more is a maze. */
export const MOST_DEEP = 8;

/**
 * The nodes from top to bottom, each followed by those within it; beside each other by position, then by name. One whose
 * parent is not among them stands at the top.
 */
export function treeBranches<T extends Node>(nodes: readonly T[]): Branch<T>[] {
  const ids = new Set(nodes.map(({ id }) => id));
  const inside = grouped(nodes, ({ parent }) => (parent !== null && ids.has(parent) ? parent : null));
  const branches: Branch<T>[] = [];
  const write = (parent: string | null, depth: number) => {
    const beside = inside.get(parent) ?? [];
    for (const node of beside.sort((a, b) => a.position - b.position || inOrder(a.name, b.name))) {
      branches.push({ node, depth });
      write(node.id, depth + 1);
    }
  };
  write(null, 0);
  return branches;
}

/** The ids of a node and of all within it. */
export function within(id: string, nodes: readonly Pick<Node, 'id' | 'parent'>[]): Set<string> {
  const inside = grouped(nodes, ({ parent }) => parent);
  const found = new Set<string>();
  const take = (one: string) => {
    if (found.has(one)) return;
    found.add(one);
    for (const child of inside.get(one) ?? []) take(child.id);
  };
  take(id);
  return found;
}
