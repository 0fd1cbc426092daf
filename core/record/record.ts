import { z } from 'zod';
import { CalendarDateSchema } from '#core/calendar';
import { HISTORY_LIST_IDS, historyItem, type HistoryListId } from './history';
import { SinceSchema } from './since';
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

/** What an item of any list knows of how it came here, besides what it says. */
const byHand = {
  // Says that a person wrote it, and at which instant; `source` says who.
  byHand: z.literal(true).optional(),
  writtenAt: z.iso.datetime().optional(),
  // The instant at which a source told of it first or anew, where the record was there already.
  cameAt: z.iso.datetime().optional(),
};

/** What a source calls an item, to know it again when it comes anew. */
const key = z.string().max(300).optional();

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
  // Of what it is a part: the systolic pressure of a blood pressure.
  within: z.string().max(60).optional(),
  // What is usual, in the same unit, as the source says; either end may be open.
  usual: z.object({ low: z.number().nullable(), high: z.number().nullable() }).optional(),
  // What the source makes of the value.
  reads: z.enum(['high', 'low', 'abnormal', 'normal']).optional(),
  key,
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
  key,
});
const MedicineSchema = medicine.extend({ ...byHand, said: medicine.optional() });

const problem = z.object({
  label: text,
  status: z.enum(['active', 'resolved']),
  since: CalendarDateSchema.nullable(),
  until: CalendarDateSchema.nullable().optional(),
  source,
  key,
});
const ProblemSchema = problem.extend({ ...byHand, said: problem.optional() });

const HistoryItemSchema = historyItem.extend({ ...byHand, said: historyItem.optional() });

/** What was taken out of a list of the record by hand, by whom and when: it can be put back. */
const taken = { by: source, on: CalendarDateSchema };
const HistoryIdSchema = z.enum(HISTORY_LIST_IDS as [HistoryListId, ...HistoryListId[]]);
/** An item of a list that was taken out by hand, to be put back. */
export const RemovedItemSchema = z.discriminatedUnion('list', [
  z.object({ list: z.literal('measurements'), item: MeasurementSchema, ...taken }),
  z.object({ list: z.literal('medicines'), item: MedicineSchema, ...taken }),
  z.object({ list: z.literal('problems'), item: ProblemSchema, ...taken }),
  z.object({ list: HistoryIdSchema, item: HistoryItemSchema, ...taken }),
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
    z.object({ list: HistoryIdSchema, had: HistoryItemSchema.nullable(), now: historyItem.nullable() }),
  ])
  .refine(({ now }) => now === null || ('name' in now ? now.name : now.label).trim() !== '', {
    path: ['now'],
    message: 'say what it is',
  });
export type ListChange = z.infer<typeof ListChangeSchema>;

const MOST_OF_HISTORY = 5000;
/** The most that each list of a record holds. */
export const LIST_LIMITS = {
  ...{ measurements: 20_000, medicines: 1000, problems: 1000 },
  ...(Object.fromEntries(HISTORY_LIST_IDS.map((list) => [list, MOST_OF_HISTORY])) as Record<
    HistoryListId,
    number
  >),
};
/** A list of a record that can be changed by hand. */
export type RecordList = keyof typeof LIST_LIMITS;
/** The names of all lists of a record, in the order they are shown. */
export const RECORD_LISTS = Object.keys(LIST_LIMITS) as RecordList[];

const historyLists = Object.fromEntries(
  HISTORY_LIST_IDS.map((list) => [list, z.array(HistoryItemSchema).max(MOST_OF_HISTORY).optional()]),
) as Record<HistoryListId, z.ZodOptional<z.ZodArray<typeof HistoryItemSchema>>>;

/** Care that comes round again: a screening, a vaccination, a weighing. */
const RecurringCareSchema = z.object({
  label: text,
  // After how long it is due again; left out where the day it is due is said instead.
  every: z
    .object({
      count: z.number().int().min(1).max(1000),
      step: z.enum(['days', 'weeks', 'months', 'years']),
    })
    .optional(),
  dueOn: CalendarDateSchema.optional(),
  // When it was done last; null when it never was, and then it is due on `from`.
  done: CalendarDateSchema.nullable(),
  from: CalendarDateSchema.nullable(),
  source,
  // A vaccination, as against any other care.
  isImmunisation: z.literal(true).optional(),
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
  ...historyLists,
  care: z.array(RecurringCareSchema).max(500).optional(),
  // When the writer's last note about it was written: put there by the page that is written on, never stored.
  lastNote: SinceSchema.optional(),
  // By which a source knows whose record it is: "system|value", to know the same one again.
  identifiers: z.array(z.string().max(300)).max(50).optional(),
  // What sources said of details that were corrected or taken away by hand, to be brought back.
  said: z.array(RecordDetailSchema).max(500).optional(),
  removed: z.array(RemovedItemSchema).max(500).optional(),
});

export type CaseRecord = z.infer<typeof CaseRecordSchema>;
export type RecordDetail = z.infer<typeof RecordDetailSchema>;
export type Measurement = z.infer<typeof MeasurementSchema>;
export type Medicine = z.infer<typeof MedicineSchema>;
export type RecurringCare = z.infer<typeof RecurringCareSchema>;
export type HealthProblem = z.infer<typeof ProblemSchema>;
export type HistoryItem = z.infer<typeof HistoryItemSchema>;
/** An item of any list of a record. */
export type RecordItem = Measurement | Medicine | HealthProblem | HistoryItem;

/** A record of which nothing is known yet. */
export function emptyRecord(): CaseRecord {
  return { version: 1, details: [], measurements: [], medicines: [], problems: [] };
}

/** The items of a list of a record, in the order it has them. */
export const itemsOf = (record: CaseRecord, list: RecordList): readonly RecordItem[] => record[list] ?? [];

type Items = { measurements: Measurement; medicines: Medicine; problems: HealthProblem } & Record<
  HistoryListId,
  HistoryItem
>;
/** An item as it was written, and the list it belongs to. */
export type WrittenItem<List extends RecordList = RecordList> = {
  [Each in List]: { list: Each; item: Items[Each] };
}[List];
