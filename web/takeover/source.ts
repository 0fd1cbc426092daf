import { UnreadableFile } from '#client/api';
import { readCollectionFile } from '#client/files';
import type { CollectionFile } from '#contracts';
import { CollectionSettingsSchema } from '#core/bank';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { intakeFile } from '#core/intake';
import { readEntryFolder, UnreadableEntry, type PlacedEntry } from '#core/takeover';
import {
  decodedText,
  IS_MAIL,
  intakeReader,
  isArchive,
  mailFiles,
  textFiles,
  type Intake,
} from '../documents';

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

/** Entries with where they are as a collection: their own collections within one that has the name of the file. */
function ofEntries(entries: readonly PlacedEntry[], name: string): Source {
  const language = entries[0]?.content.wordings[0]?.language ?? 'en-GB';
  // What is around all of them is what comes in.
  const [first] = entries;
  let shared = 0;
  while (
    first?.path[shared] !== undefined &&
    entries.every(({ path }) => path[shared] === first.path[shared])
  )
    shared += 1;
  const rows = entries.map(({ path, content }, row) => ({
    row,
    path: path.slice(shared),
    content,
    isTitled: false,
  }));
  const called = first?.path[shared - 1] ?? name;
  const { collections, entries: placed } = intakeFile(rows, newSettings(called, language), 'collections');
  // By their own ids, since entries within entries name each other by these.
  const all = placed.map((one, at) => ({ ...one, id: entries[at]!.id }));
  return { kind: 'collection', name, file: { collections, entries: all } };
}

/** Entries in the compact notation, parted by lines of equals signs. Throws an UnreadableFile that says where one is wrong. */
function ofNotation(text: string, name: string): Source {
  const all = text.split(/^={4,}\s*$/m).filter((one) => one.trim() !== '');
  return ofFolder(
    all.map((one, at) => [`entry ${at + 1}`, one.trim()] as const),
    name,
  );
}

/** Entries of a folder, one a file. Throws an UnreadableFile that says where one is wrong. */
function ofFolder(files: Iterable<readonly [string, string]>, name: string): Source {
  try {
    return ofEntries(readEntryFolder(files), name);
  } catch (error) {
    if (!(error instanceof UnreadableEntry)) throw error;
    throw new UnreadableFile(`${name}, ${error.message} ${SO}`);
  }
}

const isNotation = (text: string): boolean => /^title: /m.test(text) && /^== wording /m.test(text);

/** What a file holds that can be brought in. Throws an UnreadableFile in words. */
export async function readSource(file: File): Promise<Source> {
  if (file.size > MOST_BYTES)
    throw new UnreadableFile(`${file.name} is larger than 100 MB. ${SO} Bring it in parts.`);
  const bytes = new Uint8Array(await file.arrayBuffer());
  const start = decodedText(bytes.subarray(0, 4096)) ?? '';
  if (/"format"\s*:\s*"elderleaf-collection"/.test(start))
    return { kind: 'collection', name: file.name, file: await readCollectionFile(file) };
  const text = /^(?:title|#):? /m.test(start) ? decodedText(bytes) : null;
  if (text !== null && isNotation(text)) return ofNotation(text, file.name);
  if (/\.zip$/i.test(file.name) && isArchive(bytes)) {
    const files = await textFiles(bytes, file.name);
    if (files.size > 0 && [...files.values()].every(isNotation)) return ofFolder(files, file.name);
  }
  const { intakeOf, intakeOfMails } = await intakeReader();
  if (/\.zip$/i.test(file.name) && isArchive(bytes)) {
    const mails = await mailFiles(bytes, file.name);
    if (mails.length > 0)
      return { kind: 'intake', name: file.name, intake: await intakeOfMails(mails, file.name) };
  }
  return { kind: 'intake', name: file.name, intake: await intakeOf(bytes, file.name) };
}

/** What several files hold: mails, which are read together, since it is what repeats in them. Throws an UnreadableFile in words. */
export async function readSources(files: readonly File[]): Promise<Source> {
  const [first] = files;
  if (files.length === 1) return readSource(first!);
  if (!files.every(({ name }) => IS_MAIL.test(name)))
    throw new UnreadableFile(
      `${files.length} files were dropped. ${SO} Bring them one after the other; mails together.`,
    );
  const name = `${files.length} mails`;
  if (files.reduce((sum, { size }) => sum + size, 0) > MOST_BYTES)
    throw new UnreadableFile(`${name} are larger than 100 MB. ${SO} Bring them in parts.`);
  const { intakeOfMails } = await intakeReader();
  const all = await Promise.all(files.map(async (file) => new Uint8Array(await file.arrayBuffer())));
  return { kind: 'intake', name, intake: await intakeOfMails(all, name) };
}

/** What was pasted. Throws an UnreadableFile in words. */
export async function readPaste(text: string, html: string): Promise<Source> {
  if (isNotation(text)) return ofNotation(text, 'What was pasted');
  const { intakeOfPaste } = await intakeReader();
  return { kind: 'intake', name: 'Pasted', intake: await intakeOfPaste(text, html) };
}
