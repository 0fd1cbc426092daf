import { z } from 'zod';
import { TimeOfDaySchema } from '#core/calendar';
import { KeyIdSchema } from '#core/passage';
import { CalculationSchema } from './calculation';

const id = KeyIdSchema;
const words = z.string().max(5000);

const shared = {
  id,
  name: z.string().trim().min(1, 'a field needs a name').max(60),
  question: words.default(''),
  hint: words.default(''),
  required: z.boolean().default(true),
  // What was answered last for the same person is offered again; never anyone else's.
  offerLast: z.boolean().optional(),
};

/** An option of a choice: its label, and the words it puts down. */
export const ChoiceOptionSchema = z.object({
  id,
  label: z.string().trim().min(1, 'an option needs a label').max(120),
  // What the option puts down; the label itself when null.
  words: words.nullable().default(null),
});

const TextFieldSchema = z.object({
  ...shared,
  kind: z.literal('text'),
  starting: words.default(''),
  // Several lines: Shift and Enter begin a new one.
  long: z.boolean().optional(),
});
const ChoiceFieldSchema = z.object({
  ...shared,
  kind: z.literal('choice'),
  many: z.boolean().default(false),
  // As a sentence with "and" or "or", or each on a line of its own.
  join: z.enum(['and', 'or', 'lines']).default('and'),
  // Whether words of one's own can be given beside the options.
  other: z.boolean().optional(),
  // What "none of these" puts down; absent where it cannot be picked.
  none: words.optional(),
  options: z
    .array(ChoiceOptionSchema)
    .min(1, 'a choice needs at least one option')
    .max(1000, 'a choice has at most 1,000 options'),
  // Ids of the options that stand there until others are chosen, where the field is not required.
  starting: z.array(id).max(1000).optional(),
});
const DetailFieldSchema = z.object({
  ...shared,
  kind: z.literal('detail'),
  path: z.string().min(1).max(120),
});

const DateFieldSchema = z.object({
  ...shared,
  kind: z.literal('date'),
  // Today stands there without being asked, where the field is not required.
  starting: z.enum(['none', 'today']).default('none'),
});
const TimeFieldSchema = z.object({
  ...shared,
  kind: z.literal('time'),
  // The time of placing stands there until another is given, where the field is not required.
  starting: z.literal('now').optional(),
});
const NumberFieldSchema = z
  .object({
    ...shared,
    kind: z.literal('number'),
    unit: z.string().trim().max(40).default(''),
    min: z.number().nullable().default(null),
    max: z.number().nullable().default(null),
    // Digits after the decimal point; as many as were typed when null.
    decimals: z.number().int().min(0).max(6).nullable().default(null),
    starting: z.number().nullable().optional(),
  })
  .refine(
    ({ min, max }) => min === null || max === null || min <= max,
    'the least must not be over the most',
  );
const YesNoFieldSchema = z.object({
  ...shared,
  kind: z.literal('yes-no'),
  // The words each puts down: "yes" and "no", or whole clauses; '' puts down nothing.
  yes: words.default('yes'),
  no: words.default('no'),
  starting: z.boolean().optional(),
});

const PersonFieldSchema = z.object({ ...shared, kind: z.literal('person') });

/** Something about who writes, so that the same wording is signed with each one's own name. */
export const WRITER_DETAILS = ['name', 'first name', 'job', 'e-mail', 'phone', 'address'] as const;
const WriterFieldSchema = z.object({
  ...shared,
  kind: z.literal('writer'),
  detail: z.enum(WRITER_DETAILS).default('name'),
});

const ComputedFieldSchema = z.object({
  ...shared,
  kind: z.literal('computed'),
  calculation: CalculationSchema,
  unit: z.string().trim().max(40).default(''),
  decimals: z.number().int().min(0).max(6).nullable().default(null),
});

/** Alternates: several phrasings of the same words of which one is taken, by turns or by the time of day. */
const AlternatesFieldSchema = z.object({
  ...shared,
  kind: z.literal('alternates'),
  by: z.enum(['turn', 'time']).default('turn'),
  alternates: z
    .array(
      z.object({
        words,
        // By the time of day: up to and without this time. The last one has none, and holds for the rest of the day.
        until: TimeOfDaySchema.optional(),
      }),
    )
    .min(1, 'there must be at least one alternate')
    .max(50),
});

/** Something an entry asks for or looks up: declared once in the entry, used in any number of blanks. */
export const FieldSchema = z.discriminatedUnion('kind', [
  TextFieldSchema,
  ChoiceFieldSchema,
  DetailFieldSchema,
  DateFieldSchema,
  TimeFieldSchema,
  NumberFieldSchema,
  YesNoFieldSchema,
  PersonFieldSchema,
  WriterFieldSchema,
  ComputedFieldSchema,
  AlternatesFieldSchema,
]);

export type Field = z.infer<typeof FieldSchema>;

/** Kinds whose answer is worked out or looked up: no question is put for them by itself. */
export const NEVER_ASKED: ReadonlySet<Field['kind']> = new Set(['computed', 'alternates', 'writer']);

export type ChoiceField = z.infer<typeof ChoiceFieldSchema>;
export type NumberField = z.infer<typeof NumberFieldSchema>;
export type YesNoField = z.infer<typeof YesNoFieldSchema>;
export type ChoiceOption = z.infer<typeof ChoiceOptionSchema>;
export type ComputedField = z.infer<typeof ComputedFieldSchema>;
export type AlternatesField = z.infer<typeof AlternatesFieldSchema>;
