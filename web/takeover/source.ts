import { UnreadableFile } from '#client/api';
import { readCollectionFile } from '#client/files';
import type { CollectionFile } from '#contracts';
import { CollectionSettingsSchema } from '#core/bank';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { INTAKE_ROOT, rowKey } from '#core/intake';
import { notationErrorInWords, readEntry } from '#core/notation';
import { decodedText, intakeReader, type Intake } from '../documents';

/** What somebody brought: a collection as it was saved for another team, or what entries are yet to be made of. */
export type Source =
  | { kind: 'collection'; name: string; file: Pick<CollectionFile, 'collections' | 'entries' | 'files'> }
  | { kind: 'intake'; name: string; intake: Intake };

const MOST_BYTES = 100_000_000;
const SO = 'Nothing was brought in.';

/** The settings of a collection that is made for what comes in. */
export const newSettings = (name: string, language: string, leadIn = ',') =>
  CollectionSettingsSchema.parse({
    name: name.replace(/\.[^.]+$/, '').slice(0, 80) || 'Brought in',
    leadIn: leadIn.slice(0, 4),
    cueRules: DEFAULT_CUE_RULES,
    kindsOfWork: [],
    language,
  });

/** Entries in the compact notation, parted by lines of equals signs. Throws an UnreadableFile that says where one is wrong. */
function ofNotation(text: string, name: string): Source {
  const all = text.split(/^={4,}\s*$/m).filter((one) => one.trim() !== '');
  const entries = all.map((one, at) => {
    const read = readEntry(one.trim());
    if (!read.ok)
      throw new UnreadableFile(
        `${name}, entry ${at + 1}, line ${read.error.line}: ${notationErrorInWords(read.error)} ${SO}`,
      );
    return { id: rowKey(at), collection: INTAKE_ROOT, content: read.value };
  });
  const language = entries[0]?.content.wordings[0]?.language ?? 'en-GB';
  return {
    kind: 'collection',
    name,
    file: { collections: [{ ...newSettings(name, language), id: INTAKE_ROOT, parent: null }], entries },
  };
}

/** What a file holds that can be brought in. Throws an UnreadableFile in words. */
export async function readSource(file: File): Promise<Source> {
  if (file.size > MOST_BYTES)
    throw new UnreadableFile(`${file.name} is larger than 100 MB. ${SO} Bring it in parts.`);
  const bytes = new Uint8Array(await file.arrayBuffer());
  const start = decodedText(bytes.subarray(0, 4096)) ?? '';
  if (/"format"\s*:\s*"elderleaf-collection"/.test(start))
    return { kind: 'collection', name: file.name, file: await readCollectionFile(file) };
  const text = /^(?:title|#):? /m.test(start) ? decodedText(bytes) : null;
  if (text !== null && /^title: /m.test(text) && /^== wording /m.test(text))
    return ofNotation(text, file.name);
  const { intakeOf } = await intakeReader();
  return { kind: 'intake', name: file.name, intake: await intakeOf(bytes, file.name) };
}

/** What was pasted. Throws an UnreadableFile in words. */
export async function readPaste(text: string, html: string): Promise<Source> {
  if (/^title: /m.test(text) && /^== wording /m.test(text)) return ofNotation(text, 'What was pasted');
  const { intakeOfPaste } = await intakeReader();
  return { kind: 'intake', name: 'Pasted', intake: await intakeOfPaste(text, html) };
}
