/** What the routes of single kinds of work are called with, for the table of rights. */
import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import type { RouteName } from '#contracts';
import { newTraySetup } from '#core/naming';
import {
  BARE,
  batchRow,
  trayLine,
  caseOfOwn,
  SETUP,
  type Asked,
  SUBMISSION,
  work,
  assignment,
  name,
  enquiry,
} from './rightsMade';

/** Of each route a call that somebody with the right to it succeeds with. */
export const callsOfWork = {
  takeBundle: async () =>
    Promise.resolve({
      body: JSON.parse(
        fs.readFileSync(
          path.join(import.meta.dirname, '../../demo/work/admission/fhir/hedgehog-bramble.json'),
          'utf8',
        ),
      ) as unknown,
    }),
  tray: async () => Promise.resolve({ params: { case: 'swan-keel' } }),
  keepTray: async () =>
    Promise.resolve({ params: await caseOfOwn('naming'), body: { setup: newTraySetup() }, version: 0 }),
  addTrayLines: async () => ({
    params: (await trayLine()).params,
    body: {
      files: [{ id: randomUUID(), folder: '', name: 'b.pdf', bytes: 4, changed: '2026-11-24T10:00:00Z' }],
    },
  }),
  changeTrayLines: async () => {
    const { params, line } = await trayLine();
    return { params, body: { changes: [{ line, newName: 'bill.pdf' }] } };
  },
  saidBefore: async () => Promise.resolve({}),
  batch: async () => Promise.resolve({ params: { case: 'swan-keel' } }),
  keepBatch: async () => Promise.resolve({ params: await caseOfOwn(), body: { setup: SETUP }, version: 0 }),
  addBatchRows: async () => ({
    params: (await batchRow()).params,
    body: { rows: [{ id: randomUUID(), cells: ['Petra'] }] },
  }),
  changeBatchRows: async () => {
    const { params, row } = await batchRow();
    return { params, body: { changes: [{ row, isHeld: true }] } };
  },
  batchLetter: async () => {
    const { params, row } = await batchRow();
    return { params: { ...params, row } };
  },
  sendBatchLetters: async () => {
    const { params, row } = await batchRow();
    return { params, body: { letters: [{ row, document: BARE }], wait: 0, sure: [], today: '2026-11-24' } };
  },
  stopBatch: async () => Promise.resolve({ params: { case: 'swan-keel' } }),
  batchMessages: async () => {
    const { params, row } = await batchRow();
    return { params, body: { letters: [{ row, document: BARE }], today: '2026-11-24' } };
  },
  handIn: async () =>
    Promise.resolve({
      params: { case: 'swan-keel' },
      body: { submission: SUBMISSION, name: 'Report.docx', file: null },
    }),
  submission: async () => Promise.resolve({ params: { case: 'swan-keel' } }),
  othersComments: async () => Promise.resolve({ params: { case: 'swan-keel' } }),
  earlierSummingsUp: async () => Promise.resolve({ params: { case: 'swan-keel' } }),
  earlierCasts: async () => Promise.resolve({}),
  othersMarkings: async () => Promise.resolve({ params: { case: 'swan-keel' } }),
  othersTranscripts: async () => Promise.resolve({ params: { case: 'swan-keel' } }),
  takeMessage: async () =>
    Promise.resolve({
      body: Buffer.from(`From: a@marsh.example\r\nSubject: ${name()}\r\n\r\nHello`),
      headers: { 'Content-Type': 'message/rfc822' },
    }),
  earlierEnquiries: async () => Promise.resolve({ params: { case: 'swan-keel' } }),
  likeEnquiries: async () => Promise.resolve({ params: { case: 'swan-keel' } }),
  queue: async () => Promise.resolve({}),
  changeEnquiry: async () => ({
    params: { case: await enquiry() },
    body: { do: 'note', text: 'Seen' },
  }),
  pressPedal: async () => Promise.resolve({ body: { rest: 'left', isDown: true } }),
  assignments: async () => Promise.resolve({}),
  makeAssignment: async () => Promise.resolve({ body: { ...work(), id: randomUUID() } }),
  assignment,
  classCounts: assignment,
  changeAssignment: async () => ({ ...(await assignment()), body: work() }),
  assign: async () => ({
    ...(await assignment()),
    body: { case: randomUUID(), person: 'Tomos Hale', title: 'Report' },
  }),
} satisfies Partial<Record<RouteName, () => Promise<Asked>>>;
