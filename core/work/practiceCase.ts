import { addDays, type CalendarDate } from '#core/calendar';
import { emptyRecord, type CaseRecord } from '#core/record';
import { KINDS, type KindId } from './kinds';

/** Made-up details to try wordings with, by the path of the detail; days are counted from today. */
const SAMPLES: Readonly<Record<string, string | number>> = {
  ...{
    name: 'Rowan',
    customer: 'Perran Oake',
    email: 'perran.oake@marsh.example',
    species: 'hedgehog',
    sex: 'female',
    born: -80,
    admitted: -3,
  },
  ...{ reason: 'Found beside a road', ward: 'Ward 2', clinician: 'Isolde Marren', number: 'P-001' },
  ...{ topic: 'Birds of the reed bed', place: 'The north marsh', date: -1, language: 'English' },
};

/** The record of a made-up case of a kind of work: what its cases are asked for, all of it answered, as of a day. */
export function practiceRecord(kind: KindId, today: CalendarDate): CaseRecord {
  const details = KINDS[kind].details.flatMap((path) => {
    const sample = SAMPLES[path];
    if (sample === undefined) return [];
    const value =
      typeof sample === 'number'
        ? { kind: 'date' as const, date: addDays(today, sample) }
        : { kind: 'text' as const, text: sample };
    return [{ path, value, source: 'Practice', asOf: today }];
  });
  return { ...emptyRecord(), details };
}
