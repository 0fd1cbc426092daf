import fs from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { emptyRecord, ValueSchema } from '#core/record';
import type { ReadDemoCases } from './demoCase';

const CasesFile = z.array(
  z.object({
    id: z.string(),
    title: z.string(),
    number: z.string(),
    summary: z.string(),
    daysAgo: z.number(),
    given: z.array(z.string()),
    details: z.array(z.object({ path: z.string(), value: ValueSchema })),
  }),
);

/** Reads cases of which only details are known: `cases.json` of the kind's folder. */
export const casesFile: ReadDemoCases = (folder, now) => {
  const read: unknown = JSON.parse(fs.readFileSync(path.join(folder, 'cases.json'), 'utf8'));
  return CasesFile.parse(read).map(({ details, daysAgo, ...head }) => {
    const openedAt = new Date(now.getTime() - daysAgo * 86_400_000);
    const asOf = openedAt.toISOString().slice(0, 10);
    const known = details.map((detail) => ({ ...detail, source: 'Case details', asOf }));
    return { ...head, openedAt, record: { ...emptyRecord(), details: known } };
  });
};
