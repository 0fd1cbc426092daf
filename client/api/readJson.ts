import { MOST_SENT_BYTES } from '#contracts';
import { UnreadableFile } from './call';

/** What a JSON file holds. Throws an UnreadableFile, which ends with `so`, where it is too large or no JSON. */
export async function readJson(
  file: File,
  so: string,
  { mostBytes = MOST_SENT_BYTES, mostInWords = '4 MB' } = {},
): Promise<unknown> {
  if (file.size > mostBytes) throw new UnreadableFile(`${file.name} is larger than ${mostInWords}. ${so}`);
  try {
    return JSON.parse(await file.text()) as unknown;
  } catch (error) {
    throw new UnreadableFile(`${file.name} is not JSON: ${(error as Error).message}. ${so}`);
  }
}
