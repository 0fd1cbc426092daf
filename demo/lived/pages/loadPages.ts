import fs from 'node:fs';
import path from 'node:path';
import { DraftDocumentSchema, type Answers, type DraftDocument, type Placements } from '#core/draft';
import { place } from '#core/fill';
import { MarkingOnSchema, type Block, type MarkingOn } from '#core/passage';
import { emptyRecord } from '#core/record';
import { insertCase, newDraftRow } from '../../../server/cases';
import type { Context } from '../../../server/context';
import { drafts } from '../../../server/db';
import { keepFile } from '../../../server/files';
import { daysBefore } from '../daysBefore';
import type { Desk } from '../writtenDraft';

/** A marking of the demo: where it stands, and the entry it was placed from with what was answered. */
type Marked = [
  page: number,
  x: number,
  y: number,
  entry: string,
  said: Record<string, string | number>,
  look?: object,
];

const FINDINGS: readonly Marked[] = [
  [
    0,
    345,
    92,
    'page-marks-fi',
    { what: 'fire door propped open' },
    { colour: 'rust', lead: { to: { x: 292, y: 120 }, as: 'arrow' } },
  ],
  [0, 390, 185, 'page-marks-fi', { what: 'sharps bin too full' }, { colour: 'rust' }],
  [0, 604, 110, 'page-marks-ok', {}, { colour: 'leaf' }],
  [0, 64, 360, 'page-marks-fi', { what: 'plug without a cover' }, { colour: 'rust', framed: true }],
  [1, 110, 120, 'page-marks-ok', {}, { colour: 'leaf' }],
  [1, 480, 250, 'page-marks-fi', { what: 'lamp above the stairs' }, { colour: 'rust' }],
];
const COUNTS: readonly [x: number, y: number, count: number, species: string][] = [
  [365, 262, 9, 'reed bunting'],
  [380, 282, 4, 'bearded tit'],
  [250, 392, 44, 'dunlin'],
  [262, 412, 13, 'redshank'],
  [520, 500, 210, 'oystercatcher'],
  [640, 520, 31, 'curlew'],
  [790, 470, 2, 'grey seal'],
  [548, 96, 6, 'blackbird'],
  [610, 140, 19, 'redwing'],
  [560, 180, 1, 'woodcock'],
  [120, 170, 3, 'wren'],
  [90, 470, 7, 'shelduck'],
];

const answersOf = (said: Marked[4]): Answers =>
  Object.fromEntries(
    Object.entries(said).map(([field, value]) => [
      field,
      typeof value === 'number' ? { kind: 'number' as const, value } : { kind: 'text' as const, text: value },
    ]),
  );

/** Markings as the draft that holds them. Throws where an entry is not there. */
function documentOf(all: readonly Marked[], find: Desk['find'], today: string): DraftDocument {
  const placements: Placements = {};
  const content = all.map(([page, x, y, entry, said, look], at): Block => {
    const found = find(entry);
    if (!found) throw new Error(`There is no entry ${entry} to mark with`);
    const id = `p${at + 1}`;
    const placed = place({
      ...{ entry: { id: entry, ...found }, record: emptyRecord(), today, cue: null, id },
      answers: answersOf(said),
    });
    placements[id] = placed.placement;
    const marking: MarkingOn = MarkingOnSchema.parse({ id: `m${at + 1}`, page, at: { x, y }, ...look });
    return { type: 'box', attrs: { name: 'Marking', marking }, content: placed.passage.content };
  });
  return DraftDocumentSchema.parse({ type: 'doc', attrs: { placements }, content });
}

const PAGES = [
  {
    ...{
      id: 'lived-plan',
      title: 'Inspection in November',
      by: 'imke',
      given: ['imke', 'anouk'],
      file: 'Plan of the hospital.pdf',
    },
    ...{ summary: 'What was found, on the plan of both floors', marked: FINDINGS, daysAgo: 4 },
  },
  {
    ...{
      id: 'lived-map',
      title: 'Birds counted, 21 November',
      by: 'desta',
      given: ['desta', 'imke'],
      file: 'Survey map.png',
    },
    ...{ summary: 'Twelve places of the count, on the survey map', daysAgo: 9 },
    marked: COUNTS.map(([x, y, count, species]): Marked => [0, x, y, 'page-marks-bc', { count, species }]),
  },
];

/** Pages that are marked: a plan with findings, and a map with counts. Throws where a file is not right. */
export async function loadPages(context: Context, folder: string, find: Desk['find']): Promise<void> {
  for (const { id, title, by, given, file, summary, marked, daysAgo } of PAGES) {
    const then = daysBefore(context, daysAgo);
    const row = { id, kind: 'marking' as const, title, number: null, summary, openedAt: then.now() };
    await insertCase(context.db, { ...row, record: emptyRecord() }, given);
    const source = fs.createReadStream(path.join(folder, file));
    await keepFile(then, { id: by }, id, { id: `${id}-page`, name: file, source });
    const document = documentOf(marked, find, then.now().toISOString().slice(0, 10));
    await context.db.insert(drafts).values(newDraftRow(then, by, id, { id: `${id}-1`, title: '', document }));
  }
}
