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

/** Says that a person wrote it, and at which instant; `source` says who. */
const byHand = { byHand: z.literal(true).optional(), writtenAt: z.iso.datetime().optional() };

const measurement = z.object({
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
/** `said` is what the source said, where a person corrected it. */
const MeasurementSchema = measurement.extend({ ...byHand, said: measurement.optional() });

const medicine = z.object({
  name: text,
  dose: text.nullable(),
  status: z.enum(['active', 'ended', 'planned']),
  since: CalendarDateSchema.nullable(),
  until: CalendarDateSchema.nullable(),
  source,
});
const MedicineSchema = medicine.extend({ ...byHand, said: medicine.optional() });

const problem = z.object({
  label: text,
  status: z.enum(['active', 'resolved']),
  since: CalendarDateSchema.nullable(),
  source,
});
const ProblemSchema = problem.extend({ ...byHand, said: problem.optional() });

/** What was taken out of a list of the record by hand, by whom and when: it can be put back. */
const taken = { by: source, on: CalendarDateSchema };
/** An item of a list that was taken out by hand, to be put back. */
export const RemovedItemSchema = z.discriminatedUnion('list', [
  z.object({ list: z.literal('measurements'), item: MeasurementSchema, ...taken }),
  z.object({ list: z.literal('medicines'), item: MedicineSchema, ...taken }),
  z.object({ list: z.literal('problems'), item: ProblemSchema, ...taken }),
]);
export type RemovedItem = z.infer<typeof RemovedItemSchema>;

/**
 * A change of one of the lists of a record by hand: `had` is corrected to `now`; without `had` it is added, without `now` taken
 * out.
 */
export const ListChangeSchema = z
  .discriminatedUnion('list', [
    z.object({
      list: z.literal('measurements'),
      had: MeasurementSchema.nullable(),
      now: measurement.nullable(),
    }),
    z.object({ list: z.literal('medicines'), had: MedicineSchema.nullable(), now: medicine.nullable() }),
    z.object({ list: z.literal('problems'), had: ProblemSchema.nullable(), now: problem.nullable() }),
  ])
  .refine(({ now }) => now === null || ('name' in now ? now.name : now.label).trim() !== '', {
    path: ['now'],
    message: 'say what it is',
  });
export type ListChange = z.infer<typeof ListChangeSchema>;

/** The most that each list of a record holds. */
export const LIST_LIMITS = { measurements: 20_000, medicines: 1000, problems: 1000 } as const;
/** A list of a record that can be changed by hand. */
export type RecordList = keyof typeof LIST_LIMITS;

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
  measurements: z.array(MeasurementSchema).max(LIST_LIMITS.measurements),
  medicines: z.array(MedicineSchema).max(LIST_LIMITS.medicines),
  problems: z.array(ProblemSchema).max(LIST_LIMITS.problems),
  care: z.array(RecurringCareSchema).max(500).optional(),
  // What sources said of details that were corrected or taken away by hand, to be brought back.
  said: z.array(RecordDetailSchema).max(500).optional(),
  removed: z.array(RemovedItemSchema).max(500).optional(),
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
