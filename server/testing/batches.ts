import { randomUUID } from 'node:crypto';
import type { Batch, CaseSummary, LetterFault } from '#contracts';
import type { BatchSetup } from '#core/batch';
import { sendings } from '../db';
import type { Courier, Delivery, Parcel } from '../post';
import { startTestServer, type Caller } from './testServer';

const column = (id: string, head: string, fills: string | null) => ({
  ...{ id, head, fills, kind: 'text' as const, monthFirst: false, decimalComma: false },
});
export const SETUP: BatchSetup = {
  columns: [column('c1', 'Name', 'customer'), column('c2', 'Email', 'email'), column('c3', 'About', 'topic')],
  ...{ rules: [], day: '2026-11-24', fileNames: '{n} {Name}', behind: '', pace: 60 },
};
export const PEOPLE = [
  ['Petra Lindow', 'petra.lindow@marsh.example', 'Volunteering'],
  ['Owen Marl', 'owen.marl@marsh.example', 'Volunteering'],
  ['Sena Brook', 'sena.brook@marsh.example', 'Volunteering'],
];
export const letter = (words: string, more: object[] = []) => ({
  type: 'doc',
  attrs: { placements: {} },
  content: [{ type: 'paragraph', content: [{ type: 'text', text: words }, ...more] }],
});
export const toEach = (words: string) => PEOPLE.map(([name]) => letter(`Dear ${name}, ${words}`));

/** A batch on the server, with its rows. */
export interface Made {
  of: string;
  rows: string[];
}

const START = new Date('2026-11-24T10:00:00Z');

/**
 * Starts a server on which nothing is sent but when a test says so, with two who write letters; a mail server that does as it is told
 * and keeps what it was handed, and a clock that is moved by hand.
 */
export async function startBatchServer() {
  const mail = { taken: [] as Parcel[], answer: (): Promise<Delivery> => gone() };
  const gone = () => Promise.resolve<Delivery>({ state: 'gone', reason: '' });
  const courier: Courier = {
    byServer: true,
    from: 'Hollin Marsh <care@hollin.example>',
    deliver: (parcel) => {
      mail.taken.push(parcel);
      return mail.answer();
    },
  };
  let now = START;
  const server = await startTestServer({ courier });
  server.context.now = () => now;
  server.context.pause = () => new Promise(() => undefined);
  const [anouk, imke] = [await server.as('anouk'), await server.as('imke')];
  const read = async ({ of }: Pick<Made, 'of'>, who = anouk) =>
    (await who.get(`/api/cases/${of}/batch`).expect(200)).body as Batch;
  return {
    ...{ server, mail, anouk, imke, read },
    /** Forgets what another test left on its way. */
    begin: async () => {
      await server.context.db.delete(sendings);
      mail.taken.length = 0;
      mail.answer = gone;
      now = START;
    },
    later: (seconds: number) => (now = new Date(now.getTime() + seconds * 1000)),
    batchOf: async (people: string[][] = PEOPLE, setup: BatchSetup = SETUP): Promise<Made> => {
      const id = randomUUID();
      const body = { id, kind: 'batch', title: 'Volunteers', number: null, details: [], given: ['imke'] };
      const { id: of } = (await anouk.post('/api/cases').send(body).expect(201)).body as CaseSummary;
      await anouk.put(`/api/cases/${of}/batch`).set('If-Match', '"0"').send({ setup }).expect(200);
      const rows = people.map((cells) => ({ id: randomUUID(), cells }));
      if (rows.length > 0) await anouk.post(`/api/cases/${of}/batch/rows`).send({ rows }).expect(200);
      return { of, rows: rows.map((row) => row.id) };
    },
    states: async (made: Made) =>
      (await read(made)).rows.map(({ sending, gone: out }) => sending?.state ?? out),
    send: async (made: Made, documents: object[], over: object = {}, who: Caller = anouk) =>
      (
        await who
          .post(`/api/cases/${made.of}/batch/sendings`)
          .send({
            letters: documents.map((document, at) => ({ row: made.rows[at], document })),
            ...{ wait: 0, sure: [], today: '2026-11-24', ...over },
          })
          .expect(200)
      ).body as { sent: string[]; faults: LetterFault[] },
    change: (made: Made, changes: object[], who: Caller = anouk) =>
      who.post(`/api/cases/${made.of}/batch/rows/changes`).send({ changes }),
  };
}
