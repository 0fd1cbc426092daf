import { ForPeople } from '#client/api';
import { bytesOfFile } from '#client/files';
import { fileNamesOf, type BatchSetup } from '#core/batch';
import { paragraphsOf, withPassage } from '#core/submission';
import { withParts, xmlParts, zipped } from '../../../documents';
import type { Letter } from '../letterMaker';
import { passageOnPaper } from './writtenLetters';

/** The paragraphs of the first document of a batch, behind each of which letters can be put. */
export async function placesInFirst(of: string, letters: readonly Letter[]): Promise<string[]> {
  const first = letters.find(({ row }) => row.file !== null);
  if (!first) return [];
  const bytes = await bytesOfFile(of, first.row.file!, first.name);
  return [...new Set(paragraphsOf(await xmlParts(bytes, first.name)))];
}

/** Documents with their letters in them, in an archive; `remarks` says which have no such place. */
export async function intoDocuments(
  of: string,
  setup: BatchSetup,
  letters: readonly Letter[],
  tell: (done: number) => void,
  isOver: () => boolean,
): Promise<{ bytes: Uint8Array; written: Letter[]; remarks: string[] }> {
  const names = fileNamesOf(
    setup,
    letters.map(({ row }) => row),
  );
  const files: Record<string, Uint8Array> = {};
  const [written, remarks]: [Letter[], string[]] = [[], []];
  for (const [at, letter] of letters.entries()) {
    if (isOver()) throw new ForPeople('It was stopped. Nothing was saved.');
    if (letter.row.file === null) {
      remarks.push(`${letter.name}: the row is not a document.`);
      continue;
    }
    const bytes = await bytesOfFile(of, letter.row.file, letter.name);
    const made = withPassage(await xmlParts(bytes, letter.name), passageOnPaper(letter), setup.behind);
    if (made === null) {
      remarks.push(`${letter.name}: no paragraph says “${setup.behind}”.`);
      continue;
    }
    files[`${names[at]!}.docx`] = await withParts(bytes, letter.name, made);
    written.push(letter);
    tell(at + 1);
  }
  return { bytes: await zipped(files), written, remarks };
}
