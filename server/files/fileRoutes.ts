import { and, eq, isNull } from 'drizzle-orm';
import type { Request, Router } from 'express';
import { MOST_NAME } from '#contracts';
import { cutTo } from '#core/language';
import { filesOfCase, givenCase, tellOfCase } from '../cases';
import type { Context } from '../context';
import { caseFiles, fileContents } from '../db';
import { bind, mustBeStorable, notFound, Refusal } from '../http';
import { deleteFile, oneUndoable } from '../wastebasket';
import { keepFile } from './keepFile';
import { serveFile } from './serveFile';

const ID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** What a file is called: without the folders it lay in and without signs that no name has. Throws where nothing is left. */
function nameIn(request: Request): string {
  let name: string;
  try {
    name = decodeURIComponent(request.get('Elderleaf-Name') ?? '');
  } catch {
    throw new Refusal('bad-request', 'Elderleaf-Name must be the name of the file, percent-encoded.');
  }
  mustBeStorable(name);
  const last = name.split(/[\\/]/).at(-1)!;
  const plain = cutTo(last.replace(/\p{C}+/gu, ' ').trim(), MOST_NAME);
  if (plain === '') throw new Refusal('not-valid', 'Say what the file is called. It was not saved.');
  return plain;
}

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
