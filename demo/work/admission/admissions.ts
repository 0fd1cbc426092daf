import fs from 'node:fs';
import path from 'node:path';
import { readFhir } from '#core/fhir';
import { headOfAdmission } from '#core/work';
import type { ReadDemoCases } from '../demoCase';

/** Members who look after the animals. */
const WARD = ['imke', 'odile'];
const DAY_MS = 86_400_000;
const DATES = /\b(20\d{2})-(\d{2})-(\d{2})(?=T|")/g;

/** Moves every date in a JSON text by whole days, so that the demo's animals came in lately whenever it starts. */
const moveDates = (json: string, days: number): string =>
  json.replace(DATES, (_, year, month, day) =>
    new Date(Date.UTC(Number(year), Number(month) - 1, Number(day) + days)).toISOString().slice(0, 10),
  );

/** Which day a moment is in, counted in UTC: of two days the hours do not matter. */
const dayNumber = (ms: number) => Math.floor(ms / DAY_MS);

/** Reads admissions: FHIR Bundles, each dated so that it was written on the day before `now`, at any hour of that day. */
export const admissions: ReadDemoCases = (folder, now) => {
  const yesterday = dayNumber(now.getTime()) - 1;
  const files = fs.readdirSync(path.join(folder, 'fhir')).sort();
  return files.map((file) => {
    const json = fs.readFileSync(path.join(folder, 'fhir', file), 'utf8');
    const written = new Date((JSON.parse(json) as { timestamp: string }).timestamp).getTime();
    const days = yesterday - dayNumber(written);
    const reading = readFhir([{ name: file, values: [JSON.parse(moveDates(json, days))] }]);
    if (!reading.ok) throw new Error(`${file}: ${JSON.stringify(reading.faults)}`);
    const { title, number, record } = reading.read[0]!;
    const { summary, admitted } = headOfAdmission(record);
    return {
      id: file.replace('.json', ''),
      ...{ title, number, record, summary, given: WARD },
      openedAt: admitted ? new Date(`${admitted}T12:00:00Z`) : now,
    };
  });
};
