import { z } from 'zod';
import { ADMISSION } from './admission/kind';
import { BATCH } from './batch/kind';
import { FEEDBACK } from './feedback/kind';
import type { Kind } from './kind';
import { LEAF } from './leaf/kind';
import { MARKING } from './marking/kind';
import { NAMING } from './naming/kind';
import { REPLY } from './reply/kind';
import { TRANSCRIPT } from './transcript/kind';

/** The kinds of work there are, in the order they are offered: the one place where a kind is registered. */
export const KINDS = {
  admission: ADMISSION,
  feedback: FEEDBACK,
  transcript: TRANSCRIPT,
  reply: REPLY,
  batch: BATCH,
  naming: NAMING,
  marking: MARKING,
  leaf: LEAF,
} as const satisfies Record<string, Kind>;

/** Which kind of work: a key of `KINDS`. */
export type KindId = keyof typeof KINDS;

/** The ids of all kinds of work, in the order they are offered. */
export const KIND_IDS = Object.keys(KINDS) as [KindId, ...KindId[]];
/** The id of a kind of work. */
export const KindIdSchema = z.enum(KIND_IDS);

/** A kind by an id that may be of another Elderleaf, as lists and counts hold them; null for one that is not registered here. */
export const kindOf = (id: string): Kind | null => (KINDS as Record<string, Kind>)[id] ?? null;
