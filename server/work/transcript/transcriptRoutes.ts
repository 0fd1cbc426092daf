import type { Router } from 'express';
import type { Context } from '../../context';
import { bind } from '../../http';
import { earlierCasts } from './earlierCasts';
import { othersTranscripts } from './othersTranscripts';

/** Who spoke in earlier recordings, what others write down of the same one, and a pedal that stands in for one. */
export function transcriptRoutes(router: Router, context: Context): void {
  bind(router, context, 'earlierCasts', ({ member }) => earlierCasts(context.db, member.id));
  bind(router, context, 'othersTranscripts', ({ member, params }) =>
    othersTranscripts(context.db, member.id, params.case),
  );
  bind(router, context, 'pressPedal', async ({ member, body }) => {
    await context.events.tell(member.id, { type: 'pedal-pressed', ...body });
    return undefined;
  });
}
