import { z } from 'zod';

const id = z.string().min(1).max(60);
const words = z.string().max(5000);

const shared = {
  id,
  name: z.string().trim().min(1, 'a field needs a name').max(60),
  question: words.default(''),
  hint: words.default(''),
  required: z.boolean().default(true),
};

const ChoiceOptionSchema = z.object({
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
  options: z.array(ChoiceOptionSchema).min(1, 'a choice needs at least one option').max(200),
});
const DetailFieldSchema = z.object({ ...shared, kind: z.literal('detail'), path: z.string().min(1).max(60) });

const DateFieldSchema = z.object({
  ...shared,
  kind: z.literal('date'),
  // Today stands there without being asked, where the field is not required.
  starting: z.enum(['none', 'today']).default('none'),
});
const TimeFieldSchema = z.object({ ...shared, kind: z.literal('time') });
const NumberFieldSchema = z
  .object({
    ...shared,
    kind: z.literal('number'),
    unit: z.string().trim().max(40).default(''),
    min: z.number().nullable().default(null),
    max: z.number().nullable().default(null),
    // Digits after the decimal point; as many as were typed when null.
    decimals: z.number().int().min(0).max(6).nullable().default(null),
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
});

const PersonFieldSchema = z.object({ ...shared, kind: z.literal('person') });

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
]);

export type Field = z.infer<typeof FieldSchema>;
export type TextField = z.infer<typeof TextFieldSchema>;
export type ChoiceField = z.infer<typeof ChoiceFieldSchema>;
export type DetailField = z.infer<typeof DetailFieldSchema>;
export type DateField = z.infer<typeof DateFieldSchema>;
export type TimeField = z.infer<typeof TimeFieldSchema>;
export type NumberField = z.infer<typeof NumberFieldSchema>;
export type YesNoField = z.infer<typeof YesNoFieldSchema>;
export type ChoiceOption = z.infer<typeof ChoiceOptionSchema>;
