import type { Router } from 'express';
import type { Context } from '../../context';
import { bind } from '../../http';
import { saidBefore } from './saidBefore';
import { addLines, changeLines, keepTraySetup, readTray } from './trays';

/** Files that wait for names: brought in, named, renamed. */
export function namingRoutes(router: Router, context: Context): void {
  bind(router, context, 'tray', ({ member, params }) => readTray(context.db, member.id, params.case));
  bind(router, context, 'keepTray', ({ member, params, version, body }) =>
    keepTraySetup(context, member.id, params.case, version, body.setup),
  );
  bind(router, context, 'addTrayLines', ({ member, params, body }) =>
    addLines(context, member.id, params.case, body.files),
  );
  bind(router, context, 'changeTrayLines', ({ member, params, body }) =>
    changeLines(context, member.id, params.case, body.changes),
  );
  bind(router, context, 'saidBefore', ({ member }) => saidBefore(context.db, member.id));
}
