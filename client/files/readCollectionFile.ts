import { CollectionFileSchema, type CollectionFile } from '#contracts';
import { UnreadableFile, readJson } from '#client/api';

const SO = 'Nothing was brought in.';
const TOLD = 3;
/** With what goes along with its entries, which is written a third longer than it is. */
const MOST_BYTES = 150_000_000;

/** The collection that a file holds. Throws an UnreadableFile that says what is wrong with it and where. */
export async function readCollectionFile(file: File): Promise<CollectionFile> {
  const held = await readJson(file, SO, { mostBytes: MOST_BYTES, mostInWords: '150 MB' });
  const { format, version } = (held ?? {}) as { format?: unknown; version?: unknown };
  if (format !== 'elderleaf-collection')
    throw new UnreadableFile(`${file.name} is not a collection saved for another team. ${SO}`);
  if (version !== 1)
    throw new UnreadableFile(`${file.name} was made by a later Elderleaf than this one. ${SO}`);
  const parsed = CollectionFileSchema.safeParse(held);
  if (parsed.success) return parsed.data;
  const faults = parsed.error.issues
    .slice(0, TOLD)
    .map(({ path, message }) => `${path.map(String).join('.')}: ${message}`);
  throw new UnreadableFile(`${file.name} is damaged at ${faults.join('; ')}. ${SO}`);
}
