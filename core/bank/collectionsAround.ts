/** A collection and those around it, from the inside out; those that are not known end it. Linear in their number, also in a ring. */
export function collectionsAround(
  id: string,
  collections: ReadonlyMap<string, { parent: string | null }>,
): string[] {
  const way: string[] = [];
  const seen = new Set<string>();
  for (let at: string | null = id; at !== null && !seen.has(at); at = collections.get(at)?.parent ?? null) {
    seen.add(at);
    way.push(at);
  }
  return way;
}
