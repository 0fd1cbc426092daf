import { and, eq, isNull } from 'drizzle-orm';
import type { Router } from 'express';
import { filesOfCase, givenCase, tellOfCase } from '../cases';
import type { Context } from '../context';
import { caseFiles, fileContents } from '../db';
import { bind, notFound, Refusal } from '../http';
import { deleteFile, oneUndoable } from '../wastebasket';
import { keepFile } from './keepFile';
import { nameIn } from './nameIn';
import { serveFile } from './serveFile';

const ID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** Files that are kept with cases. */
export function fileRoutes(router: Router, context: Context): void {
  const { db } = context;

  bind(router, context, 'fileLimits', () => Promise.resolve({ mostBytes: context.settings.fileBytes }));

  bind(router, context, 'addCaseFile', ({ member, params, request }) => {
    if (!ID.test(params.file)) throw new Refusal('bad-request', 'A file is sent under a UUID of its own.');
    return keepFile(context, member, params.case, {
      id: params.file,
      name: nameIn(request),
      source: request,
    });
  });

  bind(router, context, 'caseFile', async ({ member, params, request, response }) => {
    await givenCase(db, member.id, params.case);
    const [file] = await db
      .select({
        hash: caseFiles.hash,
        name: caseFiles.name,
        media: fileContents.media,
        bytes: fileContents.bytes,
      })
      .from(caseFiles)
      .innerJoin(fileContents, eq(fileContents.hash, caseFiles.hash))
      .where(and(eq(caseFiles.case, params.case), eq(caseFiles.id, params.file), isNull(caseFiles.deletion)));
    if (!file) throw notFound();
    await serveFile(context.files, file, request, response);
    // Answered already, as the route's `stream` says.
    return undefined;
  });

  bind(router, context, 'deleteCaseFile', async ({ member, params }) => {
    await givenCase(db, member.id, params.case);
    const [file] = await filesOfCase(db, params.case, params.file);
    const deletion = file && (await deleteFile(context, member.id, file));
    if (!deletion) throw notFound();
    await tellOfCase(context, params.case);
    return (await oneUndoable(db, member, deletion)).told;
  });
}
