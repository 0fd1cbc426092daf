import fs from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { KIND_IDS, type KindId } from '#core/work';
import { MemberFile } from '../memberFile';
import { entriesInNotation, entriesInRows, tableIn } from './rowsFile';

/** Reads the files of what the demo's team did in twelve weeks. They are checked, so that a slip shows at once. */

const right = z.enum(['read', 'contribute', 'keep']);
const Grants = z.record(z.string(), right);
const Collections = z.array(
  z.object({
    id: z.string(),
    parent: z.string().nullable(),
    name: z.string(),
    leadIn: z.string(),
    fires: z.enum(['last', 'closing']),
    kindsOfWork: z.array(z.string()),
    grants: Grants,
  }),
);
const replace = z.tuple([z.string(), z.string()]);
const change = { entry: z.string(), by: z.string(), daysAgo: z.number(), reason: z.string(), replace };
const Talk = z.object({
  changes: z.array(z.object(change)),
  proposals: z.array(z.object(change)),
  notes: z.array(z.object({ entry: z.string(), by: z.string(), daysAgo: z.number(), text: z.string() })),
  reviews: z.array(z.object({ entry: z.string(), keeper: z.string(), inDays: z.number() })),
  houseStyle: z.array(
    z.object({ use: z.string(), avoid: z.array(z.string()), why: z.string(), by: z.string() }),
  ),
  deleted: z.array(z.object({ entry: z.string(), by: z.string(), daysAgo: z.number() })),
  variations: z.array(z.object({ entry: z.string(), by: z.string(), replace })),
});

/** A case that somebody had, with what they wrote of it. */
export interface LivedCase {
  id: string;
  kind: KindId;
  title: string;
  number: string;
  summary: string;
  daysAgo: number;
  given: readonly string[];
  isClosed: boolean;
  details: readonly { path: string; text: string }[];
  author: string;
  isFinished: boolean;
  draft: string;
}

function casesIn(folder: string): LivedCase[] {
  return KIND_IDS.flatMap((kind) => {
    const file = path.join(folder, 'cases', `${kind}.tsv`);
    if (!fs.existsSync(file)) return [];
    return tableIn(file).map((row) => ({
      kind,
      id: `lived-${row.number!.toLowerCase()}`,
      ...{ title: row.title!, number: row.number!, summary: row.summary!, author: row.author! },
      daysAgo: Number(row.daysAgo),
      given: row.given!.split(','),
      isClosed: row.closed === 'yes',
      isFinished: row.state === 'finished',
      draft: row.draft!,
      details: row.details!.split('; ').map((detail) => {
        const [where, text] = detail.split('=');
        return { path: where!, text: text! };
      }),
    }));
  });
}

/** All that a team did in twelve weeks, from its folder. Throws where a file is not right. */
export function readLivedFiles(folder: string) {
  const read = (file: string): unknown => JSON.parse(fs.readFileSync(path.join(folder, file), 'utf8'));
  const collections = Collections.parse(read('collections.json'));
  const rows = (id: string) => entriesInRows(path.join(folder, 'bank', `${id}.tsv`), id);
  // Rows for entries of one wording; the notation for what has several, or parts.
  const entries = (id: string) => {
    const file = path.join(folder, 'bank', `${id}.txt`);
    return fs.existsSync(file) ? entriesInNotation(file, id) : rows(id);
  };
  return {
    members: MemberFile.parse(read('members.json')),
    grants: z.record(z.string(), Grants).parse(read('grants.json')),
    collections: collections.map((one) => ({ ...one, entries: entries(one.id) })),
    more: { ward: rows('ward') },
    cases: casesIn(folder),
    talk: Talk.parse(read('talk.json')),
  };
}
