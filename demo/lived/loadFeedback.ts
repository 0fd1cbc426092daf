import fs from 'node:fs';
import path from 'node:path';
import { eq, inArray } from 'drizzle-orm';
import { strFromU8, unzipSync } from 'fflate';
import { z } from 'zod';
import { commentsOf, DraftDocumentSchema, type DraftDocument } from '#core/draft';
import type { Block, TextRange } from '#core/passage';
import {
  readDocx,
  readOdt,
  SubmissionSchema,
  wordsBefore,
  wordsOfBlock,
  type Submission,
} from '#core/submission';
import { entryOfComment, whoseFile, type AssignmentWork } from '#core/work';
import { newDraftRow } from '../../server/cases';
import type { Context } from '../../server/context';
import { cases, drafts, members } from '../../server/db';
import { keepFile } from '../../server/files';
import { assign, handIn, makeAssignment } from '../../server/work';
import { DAY_MS, daysBefore } from './daysBefore';
import { writtenDraft, type Desk } from './writtenDraft';

const AssignmentFile = z.object({
  id: z.string(),
  title: z.string(),
  madeDaysAgo: z.number(),
  dueInDays: z.number(),
  limits: z.object({ least: z.number(), most: z.number() }),
  by: z.string(),
  given: z.array(z.string()),
  criteria: z.array(
    z.object({
      name: z.string(),
      levels: z.array(z.object({ name: z.string(), points: z.number(), words: z.string() })),
    }),
  ),
  people: z.array(z.object({ name: z.string(), number: z.string() })),
  submissions: z.array(
    z.object({
      file: z.string(),
      comments: z.array(z.object({ on: z.string(), text: z.string() })),
      levels: z.record(z.string(), z.string()),
      summingUp: z.string(),
      isFinished: z.boolean(),
    }),
  ),
});
type HandedIn = z.infer<typeof AssignmentFile>['submissions'][number];

const idOf = (name: string) => name.toLowerCase().replace(/ /g, '-');

/**
 * Reads a document of the demo, as a page does that takes it in. Where only a browser can read the format, what it reads lies beside the
 * file; a test keeps the two alike.
 */
function submissionIn(file: string): Submission {
  if (/\.(pdf|md)$/.test(file)) {
    const read: unknown = JSON.parse(fs.readFileSync(`${file}.json`, 'utf8'));
    return SubmissionSchema.parse(read);
  }
  const bytes = fs.readFileSync(file);
  const files = Object.entries(unzipSync(bytes)).filter(([part]) => /\.(xml|rels)$/.test(part));
  const parts = new Map(files.map(([part, content]) => [part, strFromU8(content)]));
  return file.endsWith('.odt') ? readOdt(parts) : readDocx(parts).submission;
}

/** Where words stand first. Throws where they do not. */
function rangeOf({ blocks }: Submission, words: string): TextRange {
  const block = blocks.findIndex((one) => wordsOfBlock(one).includes(words));
  if (block < 0) throw new Error(`“${words}” is not in the submission`);
  const at = wordsOfBlock(blocks[block]!).indexOf(words);
  return { from: { block, at }, to: { block, at: at + words.length } };
}

/** The draft with each of its comments counted as the entry says that was placed in it first. */
function counted(document: DraftDocument, { find }: Desk): DraftDocument {
  const uses = commentsOf(document).map((comment) => {
    const entry = entryOfComment(document, comment);
    return entry && find(entry.id)?.content.comment;
  });
  const content = document.content.map((block, at): Block => {
    const use = uses[at];
    if (block.type !== 'box' || !block.attrs.comment || !use) return block;
    const counts = { criterion: use.criterion, as: use.counts ?? null };
    return { ...block, attrs: { ...block.attrs, comment: { ...block.attrs.comment, counts } } };
  });
  return { ...document, content };
}

/** Comments as somebody wrote them beside a submission, and the summing-up beneath. */
function commentedDraft(submission: Submission, handed: HandedIn, desk: Desk): DraftDocument {
  const { comments, summingUp, isFinished, levels } = handed;
  const lines = [...comments.map(({ text }) => text), ...(summingUp === '' ? [] : [summingUp])];
  const written = writtenDraft(lines.join(' ¶ '), desk, isFinished);
  const boxes = comments.map(({ on: words }, at): Block => {
    const on = rangeOf(submission, words);
    const comment = { id: `c${at + 1}`, on, words, before: wordsBefore(submission, on.from) };
    return { type: 'box', attrs: { name: 'Comment', comment }, content: [written.content[at]!] };
  });
  const rest = written.content.slice(comments.length);
  const content = [...boxes, ...(rest.length > 0 ? rest : [{ type: 'paragraph' as const }])];
  const given = Object.entries(levels).map(([criterion, level]) => [idOf(criterion), idOf(level)] as const);
  const attrs = { ...written.attrs, ...(given.length > 0 && { levels: Object.fromEntries(given) }) };
  return counted(DraftDocumentSchema.parse({ ...written, attrs, content }), desk);
}

const caseOf = (assignment: string, file: string) => `${assignment}-${file.replace(/\..*$/, '')}`;

/** Hands in one submission as a file, with what its tutor has said of it so far. */
async function loadHandedIn(
  context: Context,
  file: string,
  handed: HandedIn,
  to: { id: string; title: string; by: string; people: AssignmentWork['people'] },
  find: Desk['find'],
): Promise<void> {
  const { id, title, by, people } = to;
  const person = whoseFile(handed.file, '', people).likely[0]!;
  const of = caseOf(id, handed.file);
  await assign(context, by, id, { case: of, person, title: `${title}, ${person}` });
  const coming = { id: `${of}-file`, name: handed.file, source: fs.createReadStream(file) };
  await keepFile(context, { id: by }, of, coming);
  const submission = submissionIn(file);
  await handIn(context, by, of, { submission, name: handed.file, file: coming.id });
  if (handed.comments.length === 0) return;
  const [{ record } = { record: null }] = await context.db.select().from(cases).where(eq(cases.id, of));
  const [tutor] = await context.db.select().from(members).where(eq(members.id, by));
  const desk = { record: record!, today: context.now().toISOString().slice(0, 10), writer: tutor!, find };
  const document = commentedDraft(submission, handed, desk);
  const row = newDraftRow(context, by, of, { id: `${of}-1`, title: '', document });
  await context.db.insert(drafts).values({ ...row, state: handed.isFinished ? 'finished' : 'open' });
}

/** The assignments of the demo, a folder for each: submissions handed in as files, with what their tutor has said of them so far. */
export async function loadFeedback(context: Context, folder: string, find: Desk['find']): Promise<void> {
  for (const name of fs.readdirSync(folder).sort()) {
    const own = path.join(folder, name);
    const read: unknown = JSON.parse(fs.readFileSync(path.join(own, 'assignment.json'), 'utf8'));
    const { id, by, dueInDays, madeDaysAgo, criteria, submissions, ...work } = AssignmentFile.parse(read);
    const then = daysBefore(context, madeDaysAgo);
    const due = new Date(context.now().getTime() + dueInDays * DAY_MS).toISOString().slice(0, 10);
    await makeAssignment(then, by, {
      ...{ ...work, id, due },
      criteria: criteria.map(({ name: called, levels }) => ({
        ...{ id: idOf(called), name: called },
        levels: levels.map((level) => ({ ...level, id: idOf(level.name) })),
      })),
    });
    const to = { ...work, id, by };
    for (const handed of submissions) await loadHandedIn(then, path.join(own, handed.file), handed, to, find);
    // Once all went back, nothing of it is on the desk.
    if (submissions.every(({ isFinished }) => isFinished)) {
      const all = submissions.map(({ file }) => caseOf(id, file));
      await context.db.update(cases).set({ closedAt: then.now() }).where(inArray(cases.id, all));
    }
  }
}
