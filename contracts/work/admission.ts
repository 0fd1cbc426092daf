import { z } from 'zod';
import { ListChangeSchema, RECORD_LISTS, ValueSchema } from '#core/record';
import { CaseSummarySchema } from '../cases';
import { define } from '../route';

/** The most bytes of files of a record system that are taken at once. */
export const MOST_FHIR_BYTES = 20 * 1024 * 1024;

/** Files of a record system, each by its name, for messages, with the Bundles or resources in it. */
const FhirFilesSchema = z.object({
  files: z
    .array(z.object({ name: z.string().max(300), values: z.array(z.unknown()).max(100_000) }))
    .max(1000),
});

const detailChange = z.object({ path: z.string(), was: ValueSchema.nullable(), now: ValueSchema });

/** A case that came of files, and what is new in its record where it was here before. */
export const TakenCaseSchema = z.object({
  case: CaseSummarySchema,
  isNew: z.boolean(),
  /** How many items came to each list. */
  added: z.partialRecord(z.enum(RECORD_LISTS as [string, ...string[]]), z.number().int()),
  /** What its source says otherwise than before; the first of them. */
  changed: z.array(ListChangeSchema),
  details: z.array(detailChange),
  /** Care that comes round and is new, or told otherwise: what it is called. */
  care: z.array(z.string()),
  /** Items that a person wrote otherwise here, and which stay so. */
  kept: z.number().int(),
  /** Items taken out, since their source says they were entered in error. */
  withdrawn: z.number().int(),
  /** Items for which there was no room. */
  full: z.number().int(),
});
export type TakenCase = z.infer<typeof TakenCaseSchema>;

/** What came of files of a record system: a case for each patient, and remarks on what was left out. */
const TakenFilesSchema = z.object({ taken: z.array(TakenCaseSchema), remarks: z.array(z.string()) });

/** What an admission can be asked for beside what all cases can. */
export const ADMISSION_ROUTES = define({
  takeBundle: {
    method: 'post',
    path: '/api/cases/fhir',
    access: 'member',
    summary:
      'Makes cases of the member from HL7 FHIR R4: a Bundle or a resource, several of them, or files of them; a patient whom one of their open cases is about is brought up to date there.',
    status: 201,
    mostBytes: MOST_FHIR_BYTES,
    body: z.union([
      FhirFilesSchema,
      z.looseObject({ resourceType: z.string() }),
      z.array(z.looseObject({ resourceType: z.string() })).max(100_000),
    ]),
    response: TakenFilesSchema,
  },
});
