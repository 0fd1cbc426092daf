import { z } from 'zod';
import { CueRulesSchema } from '#core/cue';
import { PassageSchema } from '#core/passage';
import { dropKept, keep, kept } from '#client/kept';

/** What was written on the slip of captured words; null where what is proposed stands. */
const SlipFieldsSchema = z.object({
  title: z.string().nullable(),
  cue: z.string().nullable(),
  rules: CueRulesSchema.partial().optional(),
  /** The collection chosen; null for the one that is nearest to the work. */
  place: z.string().nullable(),
  /** The name of a collection to be made; null for none. */
  fresh: z.string().nullable(),
  /** Details that are to stay as they are, by key. */
  turnedBack: z.array(z.string()),
});
export type SlipFields = z.infer<typeof SlipFieldsSchema>;

/** A slip as it was left: the words on it, where they stood, and what was written. */
const KeptSlipSchema = z.object({ words: PassageSchema, pos: z.int().min(0), fields: SlipFieldsSchema });
export type KeptSlip = z.infer<typeof KeptSlipSchema>;

export const EMPTY_SLIP: SlipFields = { title: null, cue: null, place: null, fresh: null, turnedBack: [] };

const name = (draft: string) => `slip.${draft}`;

/** Keeps a half-filled slip of a draft while its tab is open: words of a case stay no longer than that. */
export const keepSlip = (draft: string, slip: KeptSlip): boolean => keep(name(draft), slip, 'tab');
/** The slip that was left half-filled on a draft; null for none. */
export const readSlip = (draft: string): KeptSlip | null => kept(name(draft), KeptSlipSchema, 'tab');
/** Takes the slip away once its words are kept, or are not wanted. */
export const dropSlip = (draft: string): void => dropKept(name(draft), 'tab');
