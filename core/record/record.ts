import { z } from 'zod';
import { CalendarDateSchema } from '#core/calendar';
import { ValueSchema } from './value';

const text = z.string().max(2000);
const source = z.string().max(300);

const RecordDetailSchema = z.object({
  path: z.string().min(1).max(60),
  label: text.optional(),
  value: ValueSchema,
  source,
  asOf: CalendarDateSchema.nullable(),
  // Written by a person, and not read from a source.
  byHand: z.literal(true).optional(),
});

const MeasurementSchema = z.object({
  code: z.string().max(60),
  label: text,
  value: z.number(),
  unit: z.string().max(40),
  measured: CalendarDateSchema,
  // Minutes since midnight where the source gave a time: orders two measurements of one day.
  minute: z.number().int().min(0).max(1439).nullable(),
  by: text.nullable(),
  source,
});

const MedicineSchema = z.object({
  name: text,
  dose: text.nullable(),
  status: z.enum(['active', 'ended', 'planned']),
  since: CalendarDateSchema.nullable(),
  until: CalendarDateSchema.nullable(),
  source,
});

const ProblemSchema = z.object({
  label: text,
  status: z.enum(['active', 'resolved']),
  since: CalendarDateSchema.nullable(),
  source,
});

/** Care that comes round again: a screening, a vaccination, a weighing. */
const RecurringCareSchema = z.object({
  label: text,
  every: z.object({
    count: z.number().int().min(1).max(1000),
    step: z.enum(['days', 'weeks', 'months', 'years']),
  }),
  // When it was done last; null when it never was, and then it is due on `from`.
  done: CalendarDateSchema.nullable(),
  from: CalendarDateSchema.nullable(),
  source,
});

/**
 * What is known about the person or animal in a case, each piece with where it came from and when. Stored as
 * JSON with its version; personal details live here and in drafts, never in the bank.
 */
export const CaseRecordSchema = z.object({
  version: z.literal(1),
  details: z.array(RecordDetailSchema).max(500),
  measurements: z.array(MeasurementSchema).max(20_000),
  medicines: z.array(MedicineSchema).max(1000),
  problems: z.array(ProblemSchema).max(1000),
  care: z.array(RecurringCareSchema).max(500).optional(),
  // What sources said of details that were corrected or taken away by hand, to be brought back.
  said: z.array(RecordDetailSchema).max(500).optional(),
});

export type CaseRecord = z.infer<typeof CaseRecordSchema>;
export type RecordDetail = z.infer<typeof RecordDetailSchema>;
export type Measurement = z.infer<typeof MeasurementSchema>;
export type Medicine = z.infer<typeof MedicineSchema>;
export type RecurringCare = z.infer<typeof RecurringCareSchema>;
export type Problem = z.infer<typeof ProblemSchema>;

/** A record of which nothing is known yet. */
export function emptyRecord(): CaseRecord {
  return { version: 1, details: [], measurements: [], medicines: [], problems: [] };
}
