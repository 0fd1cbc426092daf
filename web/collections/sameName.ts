import type { Collection } from '#contracts';

/**
 * That a collection is called the same already, and where it is; null where none is. It may all the same: who is told can tell
 * the two apart by what they are in.
 */
export function sameName(
  name: string,
  collections: readonly Pick<Collection, 'id' | 'name' | 'parent'>[],
  own?: string,
): string | null {
  const wanted = name.trim().toLowerCase();
  const other = collections.find((one) => one.id !== own && one.name.trim().toLowerCase() === wanted);
  if (!other) return null;
  const around = collections.find(({ id }) => id === other.parent);
  return `There is a collection “${other.name}” already${around ? ` in ${around.name}` : ''}. Another name tells them apart.`;
}
