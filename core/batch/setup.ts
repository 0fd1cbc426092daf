import { z } from 'zod';
import { CalendarDateSchema } from '#core/calendar';
import { ConditionSchema } from '#core/entry';
import { KeyIdSchema } from '#core/passage';
import { ColumnSchema, type Column } from './columns';
import { TABLE_LIMITS } from './table';

/** Which rows get which entry: the first rule that holds decides. */
const RuleSchema = z.object({
  id: KeyIdSchema,
  // Asks columns, by their ids, as conditions ask fields.
  when: ConditionSchema,
  entry: z.string().min(1).max(60),
  // One of its wordings; null for the one in the row's language.
  wording: z.string().min(1).max(60).nullable(),
});
export type Rule = z.infer<typeof RuleSchema>;

/** How a batch makes letters of rows. */
export const BatchSetupSchema = z.object({
  columns: z.array(ColumnSchema).max(TABLE_LIMITS.columns),
  rules: z.array(RuleSchema).max(200),
  // The day that letters bear: they stay the same tomorrow.
  day: CalendarDateSchema,
  // How files are called: columns between braces, {n} for the number of the row.
  fileNames: z.string().max(200),
  // Where rows are documents: the paragraph behind which the letter is put; '' for their end.
  behind: z.string().max(400),
  // So many letters go out in a minute.
  pace: z.number().int().min(1).max(600),
});
export type BatchSetup = z.infer<typeof BatchSetupSchema>;

/** A batch without a table. */
export const emptySetup = (day: string): BatchSetup => ({
  columns: [],
  rules: [],
  day,
  fileNames: '{n} {Name}',
  behind: '',
  pace: 30,
});

/** The column that fills a detail; null for none. */
export const columnFilling = ({ columns }: Pick<BatchSetup, 'columns'>, fills: string): Column | null =>
  columns.find((column) => column.fills?.toLocaleLowerCase() === fills.toLocaleLowerCase()) ?? null;

/** The cell of a row in a column; '' for none. */
export const cellIn = (
  { columns }: Pick<BatchSetup, 'columns'>,
  cells: readonly string[],
  column: Column | null,
): string => (column === null ? '' : (cells[columns.indexOf(column)] ?? ''));
