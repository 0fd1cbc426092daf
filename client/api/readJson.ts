import { MOST_SENT_BYTES } from '#contracts';
import { UnreadableFile } from './call';

/** What a JSON file holds. Throws an UnreadableFile, which ends with `so`, where it is too large or no JSON. */
export async function readJson(file: File, so: string): Promise<unknown> {
  if (file.size > MOST_SENT_BYTES) throw new UnreadableFile(`${file.name} is larger than 4 MB. ${so}`);
  try {
    return JSON.parse(await file.text()) as unknown;
  } catch (error) {
    throw new UnreadableFile(`${file.name} is not JSON: ${(error as Error).message}. ${so}`);
  }
}
