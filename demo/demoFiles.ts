import fs from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { FieldSchema, newEntry, readCompact, type EntryContent, type Field } from '#core/entry';
import { emptyRecord, ValueSchema, type CaseRecord } from '#core/record';

/** Reads the files of the demo. They are checked like anything from outside, so that a slip shows at once. */

const MemberFile = z.array(
  z.object({
    id: z.string(),
    name: z.string(),
    email: z.email(),
    job: z.string(),
    role: z.enum(['owner', 'member']),
  }),
);

const FieldFile = z.object({
  id: z.string(),
  name: z.string().optional(),
  question: z.string().optional(),
  required: z.boolean().optional(),
  detail: z.string().optional(),
  number: z.object({ unit: z.string(), min: z.number().optional(), max: z.number().optional() }).optional(),
  yesNo: z.object({ yes: z.string(), no: z.string() }).optional(),
  // A date or a time, by its kind.
  clock: z.enum(['date', 'time']).optional(),
  person: z.boolean().optional(),
  many: z.boolean().optional(),
  other: z.boolean().optional(),
  none: z.string().optional(),
  // "label" or "label=the words it puts down".
  options: z.array(z.string()).optional(),
});

const EntryFile = z.object({
  id: z.string(),
  title: z.string(),
  cue: z.string(),
  tags: z.array(z.string()),
  purpose: z.string(),
  fields: z.array(FieldFile).default([]),
  wording: z.string(),
});

const BankFile = z.array(
  z.object({
    id: z.string(),
    name: z.string(),
    leadIn: z.string(),
    fires: z.enum(['last', 'closing']),
    kindsOfWork: z.array(z.string()),
    grants: z.record(z.string(), z.enum(['read', 'contribute', 'keep'])),
    entries: z.array(EntryFile),
  }),
);

const CaseFile = z.array(
  z.object({
    id: z.string(),
    kind: z.enum(['feedback', 'transcript', 'reply']),
    title: z.string(),
    number: z.string(),
    summary: z.string(),
    daysAgo: z.number(),
    given: z.array(z.string()),
    details: z.array(z.object({ path: z.string(), value: ValueSchema })),
  }),
);

function toField(file: z.infer<typeof FieldFile>): Field {
  const name = file.name ?? file.detail ?? file.id;
  const shared = {
    id: file.id,
    name: name.charAt(0).toUpperCase() + name.slice(1),
    question: file.question,
    required: file.required,
  };
  if (file.detail) return FieldSchema.parse({ ...shared, kind: 'detail', path: file.detail });
  if (file.number) return FieldSchema.parse({ ...shared, kind: 'number', ...file.number });
  if (file.yesNo) return FieldSchema.parse({ ...shared, kind: 'yes-no', ...file.yesNo });
  if (file.person) return FieldSchema.parse({ ...shared, kind: 'person' });
  if (file.clock) return FieldSchema.parse({ ...shared, kind: file.clock });
  if (!file.options) return FieldSchema.parse({ ...shared, kind: 'text' });
  const options = file.options.map((option, index) => {
    const [label, words] = option.split('=');
    return { id: `o${index + 1}`, label, words: words ?? null };
  });
  return FieldSchema.parse({
    ...shared,
    kind: 'choice',
    many: file.many ?? false,
    other: file.other,
    none: file.none,
    options,
  });
}

function toContent(file: z.infer<typeof EntryFile>): EntryContent {
  return {
    ...newEntry(file.title, 'en-GB', readCompact(file.wording)),
    purpose: file.purpose,
    tags: file.tags,
    cues: [{ text: file.cue }],
    fields: file.fields.map(toField),
  };
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
  const bank = BankFile.parse(read('bank.json')).map(({ entries, ...collection }) => ({
    ...collection,
    entries: entries.map((entry) => ({ id: entry.id, content: toContent(entry) })),
  }));
  return { members: MemberFile.parse(read('members.json')), bank, cases, bundles };
}
