import fs from 'node:fs';
import path from 'node:path';
import { eq } from 'drizzle-orm';
import { newTraySetup } from '#core/naming';
import { plainText } from '#core/passage';
import { emptyRecord } from '#core/record';
import { insertCase } from '../../../server/cases';
import type { Context } from '../../../server/context';
import { members, trayLines, trays } from '../../../server/db';
import { keepFile } from '../../../server/files';
import { daysBefore } from '../daysBefore';
import { writtenDraft, type Desk } from '../writtenDraft';

const OF = 'lived-post';
const BY = 'anouk';
/** The day on which all of it was scanned, before the demo's day. */
const DAYS_AGO = 3;
/** What has its name already: the file, and how it was named. */
const NAMED: Record<string, string> = {
  'Scan0001.pdf': '{{paper-names-hp; Date=2026-09-04}}',
  'Scan0004.pdf': '{{paper-names-mw; Date=2026-09-12}}',
};
/** As folders show them. */
const byName = (a: string, b: string) => a.localeCompare(b, 'en', { numeric: true });

/** A tray of scanned post, with copies of its files. Throws where a file is not right. */
export async function loadTray(context: Context, folder: string, find: Desk['find']): Promise<void> {
  const then = daysBefore(context, DAYS_AGO);
  const about = 'Bills, letters and ringing sheets that were scanned on Tuesday';
  const row = { id: OF, kind: 'naming' as const, title: 'Post and ringing sheets, November', number: null };
  await insertCase(context.db, { ...row, summary: about, openedAt: then.now(), record: emptyRecord() }, [
    ...['anouk', 'imke', 'jory'],
  ]);
  await context.db.insert(trays).values({
    ...{ case: OF, version: 1 },
    setup: { ...newTraySetup(), numbers: ['HM-2026-0042'] },
  });
  const [writer] = await context.db.select().from(members).where(eq(members.id, BY));
  const desk = { record: emptyRecord(), today: then.now().toISOString().slice(0, 10), writer: writer!, find };
  const papers = path.join(folder, 'papers');
  const names = fs.readdirSync(papers).sort(byName);
  for (const [position, name] of names.entries()) {
    const at = path.join(papers, name);
    const file = `${OF}-${position + 1}`;
    await keepFile(then, { id: BY }, OF, { id: file, name, source: fs.createReadStream(at) });
    const document = NAMED[name] ? writtenDraft(NAMED[name], desk, true) : null;
    const words = document ? plainText(document) : '';
    await context.db.insert(trayLines).values({
      ...{ id: `${file}-line`, case: OF, position, folder: '', name, bytes: fs.statSync(at).size },
      ...{ changed: then.now(), file, document, words, said: {}, version: 1 },
      ...(document && { newName: `${words}${path.extname(name)}`, namedAt: then.now() }),
    });
  }
}
