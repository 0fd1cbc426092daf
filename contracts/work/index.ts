import { ADMISSION_ROUTES } from './admission';
import { BATCH_ROUTES } from './batch';
import { FEEDBACK_ROUTES } from './feedback';
import { MARKING_ROUTES } from './marking';
import { NAMING_ROUTES } from './naming';
import { REPLY_ROUTES } from './reply';
import { TRANSCRIPT_ROUTES } from './transcript';

/** Routes of single kinds of work. A kind that has routes of its own is a file beside this one and a line here. */
export const WORK_ROUTES = {
  ...ADMISSION_ROUTES,
  ...BATCH_ROUTES,
  ...FEEDBACK_ROUTES,
  ...MARKING_ROUTES,
  ...NAMING_ROUTES,
  ...REPLY_ROUTES,
  ...TRANSCRIPT_ROUTES,
};
