import { useState } from 'react';
import type { Collection } from '#contracts';
import { isNamed } from '#core/finder';
import type { Branch } from '#core/rights';

/** So many collections are read at a glance; more are folded into what they are in. */
const AT_A_GLANCE = 60;
/** Nobody reads more lines than this beside a sheet. */
const SHOWN = 200;

type Branches = readonly Branch<Collection>[];

/** The branches that are shown: those that are so named, or those within nothing and within what is open. */
export function shownOf(all: Branches, query: string, open: ReadonlySet<string>): Branch<Collection>[] {
  if (query.trim() !== '')
    return all.filter(({ node }) => isNamed(node.name, query)).map(({ node }) => ({ node, depth: 0 }));
  const ids = new Set(all.map(({ node }) => node.id));
  const shown = new Set<string>();
  return all.filter(({ node: { id, parent } }) => {
    const isShown = parent === null || !ids.has(parent) || (shown.has(parent) && open.has(parent));
    if (isShown) shown.add(id);
    return isShown;
  });
}

/** A tree of collections, folded where it has more than can be read at a glance, and searched by name. */
export function useFolding(all: Branches) {
  const [query, ask] = useState('');
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const isLong = all.length > AT_A_GLANCE;
  const found = isLong ? shownOf(all, query, open) : all;
  const parents = new Set(all.map(({ node }) => node.parent));
  const toggle = (id: string) => {
    const next = new Set(open);
    if (!next.delete(id)) next.add(id);
    setOpen(next);
  };
  return {
    isLong,
    query,
    ask,
    shown: found.slice(0, SHOWN),
    /** How many more there are than are shown. */
    left: Math.max(0, found.length - SHOWN),
    foldOf: ({ node: { id } }: Branch<Collection>) =>
      isLong && query.trim() === '' && parents.has(id)
        ? { open: open.has(id), toggle: () => toggle(id) }
        : null,
  };
}
