import { ADMISSION_STARTER } from './admission/starter';
import { BATCH_STARTER } from './batch/starter';
import { FEEDBACK_STARTER } from './feedback/starter';
import type { StarterText } from './kind';
import type { KindId } from './kinds';
import { MARKING_STARTER } from './marking/starter';
import { NAMING_STARTER } from './naming/starter';
import { REPLY_STARTER } from './reply/starter';
import { TRANSCRIPT_STARTER } from './transcript/starter';

/** What each kind of work can begin with; null for none. Apart from `KINDS`: every page asks for those, and hardly one for these. */
export const STARTER_TEXTS: Record<KindId, StarterText | null> = {
  admission: ADMISSION_STARTER,
  feedback: FEEDBACK_STARTER,
  transcript: TRANSCRIPT_STARTER,
  reply: REPLY_STARTER,
  batch: BATCH_STARTER,
  naming: NAMING_STARTER,
  marking: MARKING_STARTER,
  leaf: null,
};
