import fs from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import type { EntryContent } from '#core/entry';
import { readWordList } from '#core/glossary';
import { notationErrorInWords, readEntry } from '#core/notation';
import { emptyRecord, ValueSchema, type CaseRecord } from '#core/record';
import { KindIdSchema } from '#core/work';

/** Reads the files of the demo. They are checked like anything from outside, so that a slip shows at once. */

const MemberFile = z.array(
  z.object({
    id: z.string(),
    name: z.string(),
    email: z.email(),
    job: z.string(),
    phone: z.string(),
    role: z.enum(['owner', 'member']),
  }),
);

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

const CaseFile = z.array(
  z.object({
    id: z.string(),
    kind: KindIdSchema,
    title: z.string(),
    number: z.string(),
    summary: z.string(),
    daysAgo: z.number(),
    given: z.array(z.string()),
    details: z.array(z.object({ path: z.string(), value: ValueSchema })),
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

const DATES = /\b(20\d{2})-(\d{2})-(\d{2})(?=T|")/g;

/** Moves every date in a JSON text by whole days, so that the demo's animals came in lately whenever it starts. */
function moveDates(json: string, days: number): string {
  return json.replace(DATES, (_, year, month, day) =>
    new Date(Date.UTC(Number(year), Number(month) - 1, Number(day) + days)).toISOString().slice(0, 10),
  );
}

/** All of the demo, dated so that its newest measurement is from the day before `now`. */
export function readDemoFiles(folder: string, now: Date) {
  const read = (file: string): unknown => JSON.parse(fs.readFileSync(path.join(folder, file), 'utf8'));
  const yesterday = now.getTime() - 86_400_000;
  const bundles = fs
    .readdirSync(path.join(folder, 'fhir'))
    .sort()
    .map((file) => {
      const json = fs.readFileSync(path.join(folder, 'fhir', file), 'utf8');
      const written = new Date((JSON.parse(json) as { timestamp: string }).timestamp).getTime();
      const days = Math.round((yesterday - written) / 86_400_000);
      return { id: file.replace('.json', ''), bundle: JSON.parse(moveDates(json, days)) as unknown };
    });
  const day = (daysAgo: number) => new Date(now.getTime() - daysAgo * 86_400_000);
  const cases = CaseFile.parse(read('cases.json')).map(({ details, daysAgo, given, ...head }) => {
    const asOf = day(daysAgo).toISOString().slice(0, 10);
    const record: CaseRecord = {
      ...emptyRecord(),
      details: details.map((detail) => ({ ...detail, source: 'Case details', asOf })),
    };
    return { given, row: { ...head, record, openedAt: day(daysAgo) } };
  });
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
    cases,
    bundles,
  };
}
