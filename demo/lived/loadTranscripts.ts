import fs from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { DraftDocumentSchema, type DraftDocument } from '#core/draft';
import type { Block, Inline } from '#core/passage';
import { emptyRecord, type CaseRecord } from '#core/record';
import { NEW_TRANSCRIPT, withSpeaker, writtenTime, type Speaker } from '#core/transcript';
import { insertCase, newDraftRow } from '../../server/cases';
import type { Context } from '../../server/context';
import { drafts } from '../../server/db';
import { keepFile } from '../../server/files';
import { daysBefore } from './daysBefore';

/** A recording of the demo: what is said in it, by whom and when, and how far it is written down. */
const RecordingFile = z.object({
  id: z.string(),
  title: z.string(),
  number: z.string(),
  summary: z.string(),
  by: z.string(),
  given: z.array(z.string()),
  daysAgo: z.number(),
  details: z.record(z.string(), z.string()),
  cast: z.array(z.object({ name: z.string(), as: z.string(), role: z.string() })),
  /** So many turns are written down. */
  written: z.number(),
  /** Words in whose place it says that they cannot be made out. */
  unclear: z.array(z.string()),
  turns: z.array(z.object({ speaker: z.string(), words: z.string(), at: z.number() })),
});
type Recording = z.infer<typeof RecordingFile>;

/** The words of a turn; where some of them are unclear, that is said with their time. */
function inlinesOf({ words, at }: Recording['turns'][number], unclear: readonly string[]): Inline[] {
  const found = unclear.find((one) => words.includes(one));
  if (!found) return [{ type: 'text', text: words }];
  const [before, after] = words.split(found) as [string, string];
  const text = writtenTime(at, NEW_TRANSCRIPT.times);
  return [
    { type: 'text', text: `${before}[inaudible ` },
    { type: 'timeCode', attrs: { at, unclear: true, text } },
    { type: 'text', text: `]${after}` },
  ];
}

/** A recording as far as somebody has written it down. */
function halfWritten({ cast, turns, written, unclear }: Recording): DraftDocument {
  const speakers = cast.reduce<Speaker[]>(
    (all, { name, as, role }) => withSpeaker(all, as.toLowerCase(), name, role),
    [],
  );
  const content = turns.slice(0, written).map((turn): Block => ({
    type: 'turn',
    attrs: { speaker: turn.speaker.toLowerCase(), at: turn.at },
    content: inlinesOf(turn, unclear),
  }));
  const by = speakers.length > 1 ? 'name' : 'none';
  const labels = { ...NEW_TRANSCRIPT.labels, by } as const;
  const transcript = { ...NEW_TRANSCRIPT, cast: speakers, labels };
  return DraftDocumentSchema.parse({ type: 'doc', content, attrs: { placements: {}, transcript } });
}

function recordOf(details: Recording['details'], day: string): CaseRecord {
  return {
    ...emptyRecord(),
    details: Object.entries(details).map(([at, text]) => ({
      ...{ path: at, value: { kind: 'text', text } as const },
      ...{ source: 'Archive', asOf: day },
    })),
  };
}

/** Loads the recordings of a folder, each as a case with its sound and a transcript that is begun. */
export async function loadTranscripts(context: Context, folder: string): Promise<void> {
  const files = fs.readdirSync(folder).filter((file) => file.endsWith('.json'));
  for (const file of files.sort()) {
    const told = RecordingFile.parse(JSON.parse(fs.readFileSync(path.join(folder, file), 'utf8')));
    const { id, title, number, summary, by, given, daysAgo } = told;
    const then = daysBefore(context, daysAgo);
    const openedAt = then.now();
    const record = recordOf(told.details, openedAt.toISOString().slice(0, 10));
    const about = { id, kind: 'transcript' as const, title, number, summary, record, openedAt };
    await insertCase(context.db, about, given);
    const source = fs.createReadStream(path.join(folder, file.replace('.json', '.ogg')));
    await keepFile(then, { id: by }, id, {
      id: `${id}-sound`,
      name: `${title.replace(':', ',')}.ogg`,
      source,
    });
    const row = newDraftRow(then, by, id, { id: `${id}-1`, title: '', document: halfWritten(told) });
    await context.db.insert(drafts).values(row);
  }
}
