/** Hears that a version of a draft was saved somewhere; null where that may be so, as after the connection was lost. */
type Hear = (version: number | null) => void;

const hearing = new Map<string, Set<Hear>>();

/** Has whoever shows a draft hear that it was saved; of `all` where what was told of any of them may have been missed. */
export function tellSaved(saved: { draft: string; version: number } | 'all'): void {
  if (saved === 'all') for (const all of hearing.values()) for (const hear of all) hear(null);
  else for (const hear of hearing.get(saved.draft) ?? []) hear(saved.version);
}

/** Hears of each version of a draft that is saved, in this window and others, until what is given back is called. */
export function onSaved(draft: string, hear: Hear): () => void {
  const all = hearing.get(draft) ?? new Set();
  hearing.set(draft, all.add(hear));
  return () => {
    all.delete(hear);
    if (all.size === 0) hearing.delete(draft);
  };
}
