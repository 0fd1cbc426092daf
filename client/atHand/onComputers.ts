import { z } from 'zod';
import { CasesOnComputersSchema, type CasesOnComputers } from '#contracts';
import { keep, kept } from '#client/kept';

const NAME = 'cases-on-computers';
const KeptSchema = z.object({ rule: CasesOnComputersSchema.nullable() });

/** How long cases and drafts may stay on this computer, as the team has settled; null for as long as one is signed in. */
export const casesOnComputers = (): CasesOnComputers | null => kept(NAME, KeptSchema)?.rule ?? null;

/** Notes what the team has settled, for what has to be known before the server is asked. */
export const noteCasesOnComputers = (rule: CasesOnComputers | null): void => void keep(NAME, { rule });

const DAY_MS = 86_400_000;

/** Whether what was kept of cases is too old to stay: the server was reached last at `reachedAt`, in ms since the epoch. */
export const isTooOld = (rule: CasesOnComputers | null, reachedAt: number, now: number): boolean =>
  rule === 'none' || (rule !== null && now - reachedAt > rule * DAY_MS);
