import { z } from 'zod';
import { keep, kept } from '#client/kept';
import { COLUMN_ROLES, headsKey, type JoinedColumn } from '#core/intake';

const NAME = 'intake.columns';
const MOST = 30;

const RememberedSchema = z.array(
  z.object({
    heads: z.string(),
    columns: z.array(z.object({ role: z.enum(COLUMN_ROLES), language: z.string().optional() })),
  }),
);

const all = () => kept(NAME, RememberedSchema) ?? [];

/** How the columns of a table with these heads were joined the last time on this computer; null where it was never changed. */
export function rememberedColumns(heads: readonly string[]): JoinedColumn[] | null {
  const found = all().find((one) => one.heads === headsKey(heads));
  if (!found || found.columns.length !== heads.length) return null;
  return found.columns.map(({ role, language }) => ({ role, ...(language && { language }) }));
}

/** Remembers how columns were joined, for the next table with the same heads. */
export function rememberColumns(heads: readonly string[], columns: readonly JoinedColumn[]): void {
  const others = all().filter((one) => one.heads !== headsKey(heads));
  keep(NAME, [{ heads: headsKey(heads), columns }, ...others].slice(0, MOST));
}
