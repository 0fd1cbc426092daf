import { CollectionFileSchema, type CollectionFile } from '#contracts';
import { UnreadableFile, readJson } from '#client/api';

const SO = 'Nothing was taken over.';
const TOLD = 3;

/** The collection that a file holds. Throws an UnreadableFile that says what is wrong with it and where. */
export async function readCollectionFile(file: File): Promise<CollectionFile> {
  const held = await readJson(file, SO);
  const { format, version } = (held ?? {}) as { format?: unknown; version?: unknown };
  if (format !== 'elderleaf-collection')
    throw new UnreadableFile(`${file.name} is not a collection that was handed on. ${SO}`);
  if (version !== 1)
    throw new UnreadableFile(`${file.name} was made by a later Elderleaf than this one. ${SO}`);
  const parsed = CollectionFileSchema.safeParse(held);
  if (parsed.success) return parsed.data;
  const faults = parsed.error.issues
    .slice(0, TOLD)
    .map(({ path, message }) => `${path.map(String).join('.')}: ${message}`);
  throw new UnreadableFile(`${file.name} is damaged at ${faults.join('; ')}. ${SO}`);
}
