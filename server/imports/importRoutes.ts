import type { Router } from 'express';
import { backupBefore } from '../backup';
import { announceChanges } from '../bank';
import type { Context } from '../context';
import { bind } from '../http';
import { beginImport, dropImport, takePiece } from './arriving';
import { finishImport, undoImport } from './finishing';
import { importsOf } from './ownImport';

/** Bringing in many entries as one act, and taking it back. */
export function importRoutes(router: Router, context: Context): void {
  const { db } = context;
  const told = async (member: string, id: string) => (await importsOf(db, member, id))[0]!;

  bind(router, context, 'imports', ({ member }) => importsOf(db, member.id));

  bind(router, context, 'beginImport', async ({ member, body }) => {
    await backupBefore(context, 'before import');
    return told(member.id, await beginImport(context, member.id, body));
  });

  bind(router, context, 'sendImportPiece', async ({ member, params, body }) => {
    await takePiece(context, member.id, params.import, body);
    return told(member.id, params.import);
  });

  bind(router, context, 'finishImport', async ({ member, params }) => {
    const { touched, isTreeChanged } = await finishImport(context, member.id, params.import);
    if (isTreeChanged) await context.events.reachChanged();
    await announceChanges(
      context,
      touched.map((collection) => ({ collection })),
    );
    return told(member.id, params.import);
  });

  bind(router, context, 'dropImport', async ({ member, params }) => {
    await dropImport(context, member.id, params.import);
    return undefined;
  });

  bind(router, context, 'undoImport', ({ member, params }) => undoImport(context, member, params.import));
}
