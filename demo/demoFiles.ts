import fs from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import type { EntryContent } from '#core/entry';
import { readWordList } from '#core/glossary';
import { notationErrorInWords, readEntry } from '#core/notation';
import { MemberFile } from './memberFile';
import { demoCases } from './work/demoWork';

/** Reads the files of the demo. They are checked like anything from outside, so that a slip shows at once. */

const CollectionFile = z.array(
  z.object({
    id: z.string(),
    name: z.string(),
    leadIn: z.string(),
    fires: z.enum(['last', 'closing']),
    kindsOfWork: z.array(z.string()),
    grants: z.record(z.string(), z.enum(['read', 'contribute', 'keep'])),
  }),
);

const GlossaryFile = z.array(
  z.object({
    id: z.string(),
    name: z.string(),
    priority: z.number(),
    careful: z.boolean(),
    kindsOfWork: z.array(z.string()),
    shipped: z.literal('english').optional(),
  }),
);

const GroupFile = z.array(z.object({ id: z.string(), name: z.string(), members: z.array(z.string()) }));

/** The entries of a collection: a file in the compact notation for each, named by its id. */
function entriesIn(folder: string): { id: string; content: EntryContent }[] {
  const files = fs.readdirSync(folder).sort();
  return files.map((file) => {
    const read = readEntry(fs.readFileSync(path.join(folder, file), 'utf8'));
    if (!read.ok) {
      const { line, column } = read.error;
      throw new Error(`${folder}/${file}:${line}:${column} ${notationErrorInWords(read.error)}`);
    }
    return { id: file.replace('.txt', ''), content: read.value };
  });
}

function termsIn(file: string) {
  const { terms, faults } = readWordList(fs.readFileSync(file, 'utf8'));
  if (faults.length > 0) throw new Error(`${file}:${faults[0]!.line} ${faults[0]!.message}`);
  return terms;
}

/** All of the demo, dated so that its records were written the day before `now`. */
export function readDemoFiles(folder: string, now: Date) {
  const read = (file: string): unknown => JSON.parse(fs.readFileSync(path.join(folder, file), 'utf8'));
  const bank = CollectionFile.parse(read('collections.json')).map((collection) => ({
    ...collection,
    entries: entriesIn(path.join(folder, 'bank', collection.id)),
  }));
  const glossaries = GlossaryFile.parse(read('glossaries.json')).map((glossary) => ({
    ...glossary,
    terms: glossary.shipped ? [] : termsIn(path.join(folder, 'glossaries', `${glossary.id}.tsv`)),
  }));
  return {
    members: MemberFile.parse(read('members.json')),
    groups: GroupFile.parse(read('groups.json')),
    bank,
    glossaries,
    cases: demoCases(path.join(folder, 'work'), now),
  };
}
