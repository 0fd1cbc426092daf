import type { Router } from 'express';
import type { KindId } from '#core/work';
import type { Context } from '../context';
import { feedbackRoutes } from './feedback/feedbackRoutes';
import { transcriptRoutes } from './transcript/transcriptRoutes';
import { batchRoutes } from './batch/batchRoutes';
import { replyRoutes } from './reply/replyRoutes';
import { markingRoutes } from './marking/markingRoutes';
import { namingRoutes } from './naming/namingRoutes';
import { admissionRoutes } from './admission/admissionRoutes';

/** What the server does for one kind of work beside what it does for all cases. */
interface Served {
  /** Binds the kind's own routes (`contracts/work`); null where it has none. */
  routes: ((router: Router, context: Context) => void) | null;
}

const NOTHING_OWN: Served = { routes: null };

/** What is served for each kind of work: a kind that is forgotten does not compile. */
const SERVED: Record<KindId, Served> = {
  admission: { routes: admissionRoutes },
  feedback: { routes: feedbackRoutes },
  transcript: { routes: transcriptRoutes },
  reply: { routes: replyRoutes },
  batch: { routes: batchRoutes },
  naming: { routes: namingRoutes },
  marking: { routes: markingRoutes },
  leaf: NOTHING_OWN,
};

/** Binds the routes of all kinds of work. */
export function workRoutes(router: Router, context: Context): void {
  for (const { routes } of Object.values(SERVED)) routes?.(router, context);
}
