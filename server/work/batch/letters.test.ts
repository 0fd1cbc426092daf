import { randomUUID } from 'node:crypto';
import { afterAll, beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import PostalMime from 'postal-mime';
import type { Enquiry, TakenMessage } from '#contracts';
import { batchRows, sendings } from '../../db';
import { deliverDue } from '../../sendings';
import { PEOPLE, letter, toEach, startBatchServer } from '../../testing/batches';

const { server, mail, anouk, imke, read, later, batchOf, states, send, change, begin } =
  await startBatchServer();
afterAll(() => server.close());
beforeEach(begin);

const GAP = {
  type: 'blank',
  attrs: { field: 'begins', form: 'as-is', placement: 'letter', text: '', state: 'gap', dropped: 'none' },
};
const withGap = {
  ...letter('You begin on ', [GAP]),
  attrs: {
    placements: {
      letter: {
        ...{ entry: 'volunteer', revision: 1, title: 'x', cue: null, wording: 'main', language: 'en-GB' },
        fields: [{ id: 'begins', name: 'Begins', kind: 'date', required: true, starting: 'none' }],
        answers: {},
      },
    },
  },
};

describe('letters', () => {
  test('go one behind the other by the pace, each to its own row, with the words that were checked', async () => {
    const made = await batchOf();
    expect((await send(made, toEach('welcome.'))).sent).toEqual(made.rows);
    await deliverDue(server.context);
    expect(await states(made)).toEqual(['gone', 'waiting', 'waiting']);
    later(1);
    await deliverDue(server.context);
    expect(await states(made)).toEqual(['gone', 'gone', 'waiting']);
    later(1);
    await deliverDue(server.context);
    expect(mail.taken.map(({ to }) => to)).toEqual(PEOPLE.map(([, address]) => [address]));
    const read = await PostalMime.parse(mail.taken[1]!.message);
    expect([read.subject, read.to?.[0]?.name, read.text?.trim()]).toEqual([
      'Volunteering',
      'Owen Marl',
      'Dear Owen Marl, welcome.',
    ]);
  });

  test('with a gap, without an address, held back or naming somebody of another row stay, and it is said why', async () => {
    const people = [...PEOPLE, ['Nils Fenn', '', 'Volunteering'], ['Ada Rook', 'ada.rook@marsh', 'x']];
    const made = await batchOf(people);
    await change(made, [{ row: made.rows[2], isHeld: true }]).expect(200);
    const documents = [
      withGap,
      letter('Dear Petra Lindow, welcome.'),
      letter('Dear Sena Brook, welcome.'),
      letter('Dear Nils Fenn, welcome.'),
      letter('Dear Ada Rook, welcome.'),
    ];
    const { sent, faults } = await send(made, documents);
    expect(sent).toEqual([]);
    expect(faults.map(({ isDoubt, words }) => [isDoubt, words.join(' ')])).toEqual([
      [false, '“Begins” is not answered.'],
      [true, 'It names Petra Lindow, who is somebody else.'],
      [false, 'It is held back.'],
      [false, 'Nobody is named to whom it goes.'],
      [false, '“Ada Rook ada.rook@marsh” is not an address that mail can be sent to.'],
    ]);
    // A doubt goes away by saying so; a gap by no route.
    const sure = await send(made, documents, { sure: made.rows });
    expect(sure.sent).toEqual([made.rows[1]]);
    const { messages } = (
      await anouk
        .post(`/api/cases/${made.of}/batch/messages`)
        .send({ letters: [{ row: made.rows[0], document: withGap }], today: '2026-11-24' })
    ).body as { messages: unknown[] };
    expect(messages).toEqual([]);
  });

  test('that went out stay as they went: neither words nor row are changed, and it is not sent again', async () => {
    const made = await batchOf();
    await send(made, toEach('welcome.'));
    await deliverDue(server.context);
    const [first] = made.rows;
    await change(made, [{ row: first, cells: ['Another', 'other@marsh.example', 'x'] }]).expect(403);
    await change(made, [{ row: first, gone: { way: 'docx', document: letter('x') } }]).expect(403);
    expect((await send(made, [letter('Dear Petra Lindow, again.')])).sent).toEqual([first]);
    later(600);
    await deliverDue(server.context);
    await deliverDue(server.context);
    expect(mail.taken.filter(({ to }) => to[0] === PEOPLE[0]![1])).toHaveLength(1);
    const kept = await anouk.get(`/api/cases/${made.of}/batch/rows/${first}`).expect(200);
    expect(kept.body).toEqual({ document: letter('Dear Petra Lindow, welcome.') });
  });

  test('that wait are stopped by whoever has the batch, and sent later, each once', async () => {
    const made = await batchOf();
    await send(made, toEach('welcome.'));
    await deliverDue(server.context);
    expect((await imke.post(`/api/cases/${made.of}/batch/stop`).expect(200)).body).toEqual({ stopped: 2 });
    later(600);
    await deliverDue(server.context);
    expect(await states(made)).toEqual(['gone', null, null]);
    await send(made, toEach('welcome.'));
    for (let turn = 0; turn < 3; turn += 1) {
      later(1);
      await deliverDue(server.context);
    }
    expect(mail.taken.map(({ to }) => to[0])).toEqual(PEOPLE.map(([, address]) => address));
  });

  test('late after a night without a server still go by their pace', async () => {
    const made = await batchOf();
    await send(made, toEach('welcome.'));
    later(36_000);
    await deliverDue(server.context);
    expect(await states(made)).toEqual(['gone', 'waiting', 'waiting']);
    later(1);
    await deliverDue(server.context);
    expect(await states(made)).toEqual(['gone', 'gone', 'waiting']);
  });

  test('taken away as files are gone, and can be said not to have gone; what was changed by hand stays so', async () => {
    const made = await batchOf();
    const [a, b] = made.rows;
    const byHand = { document: letter('By hand'), base: letter('As it was') };
    await change(made, [{ row: a, byHand }]).expect(200);
    const gone = { way: 'docx', document: letter('By hand') };
    await change(made, [
      { row: a, gone },
      { row: b, gone },
    ]).expect(200);
    expect(await states(made)).toEqual(['docx', 'docx', null]);
    const { sent, faults } = await send(made, toEach('welcome.'));
    expect([sent, faults.map(({ words }) => words)]).toEqual([
      [made.rows[2]],
      [['It has gone out already.'], ['It has gone out already.']],
    ]);
    await change(made, [
      { row: a, gone: null },
      { row: b, gone: null },
    ]).expect(200);
    const { rows } = await read(made);
    expect(rows.map((row) => row.byHand?.document ?? null)).toEqual([letter('By hand'), null, null]);
  });

  test('answer enquiries in their threads, which are answered then, and open again where they are stopped', async () => {
    const handed = mail.taken;
    const came = await anouk
      .post('/api/messages')
      .set('Content-Type', 'message/rfc822')
      .send(
        Buffer.from(
          `From: Petra Lindow <petra@marsh.example>\r\nSubject: Helping\r\nMessage-ID: <${randomUUID()}@marsh.example>\r\n\r\nMay I help?`,
        ),
      );
    const { case: asked } = came.body as TakenMessage;
    const made = await batchOf([]);
    const row = { id: randomUUID(), cells: PEOPLE[0], enquiry: asked!.id };
    await anouk
      .post(`/api/cases/${made.of}/batch/rows`)
      .send({ rows: [row] })
      .expect(200);
    const state = async () =>
      ((await anouk.get('/api/queue')).body as Enquiry[]).find((one) => one.case === asked!.id)?.state;
    const whole = { of: made.of, rows: [row.id] };
    const document = [letter('Dear Petra Lindow, you may.')];
    await send(whole, document, { wait: 60 });
    expect(await state()).toBe('answered');
    await anouk.post(`/api/cases/${made.of}/batch/stop`).expect(200);
    expect(await state()).toBe('open');
    await send(whole, document);
    await deliverDue(server.context);
    expect(await state()).toBe('answered');
    const { inReplyTo, subject } = await PostalMime.parse(handed[0]!.message);
    expect([inReplyTo, subject]).toEqual([expect.stringContaining('@marsh.example>'), 'Re: Volunteering']);
    // Of somebody else's case nothing is told, nor made.
    const others = { rows: [{ id: randomUUID(), cells: ['x'], enquiry: 'owl-sorrel' }] };
    await anouk.post(`/api/cases/${made.of}/batch/rows`).send(others).expect(404);
  });

  test('have no head with a line break in it, whatever a cell holds', async () => {
    const made = await batchOf([['Eve\r\nBcc: all@marsh.example', 'eve@marsh.example', 'Hello\nX-Other: 1']]);
    await send(made, [letter('Hello.')], { sure: made.rows });
    await deliverDue(server.context);
    const { headers, to } = await PostalMime.parse(mail.taken[0]!.message);
    const names = headers.map(({ key }) => key);
    expect(names).not.toContain('bcc');
    expect(names).not.toContain('x-other');
    expect(to).toHaveLength(1);
  });
});

test('a letter never goes twice by itself and none is forgotten, whatever is asked again, stopped, killed and by two servers', async () => {
  const act = fc.constantFrom(
    'send',
    'send-other',
    'deliver',
    'two-servers',
    'stop',
    'killed',
    'later',
    'refused',
  );
  await fc.assert(
    fc.asyncProperty(fc.array(act, { minLength: 2, maxLength: 9 }), async (acts) => {
      await begin();
      const made = await batchOf();
      const documents = toEach('welcome.');
      for (const one of acts) {
        mail.answer = () => Promise.resolve({ state: one === 'refused' ? 'refused' : 'gone', reason: '' });
        if (one === 'send') await send(made, documents);
        if (one === 'send-other') await Promise.all([send(made, documents, {}, imke), send(made, documents)]);
        if (one === 'stop') await imke.post(`/api/cases/${made.of}/batch/stop`).expect(200);
        if (one === 'later') later(1);
        if (one === 'deliver' || one === 'refused') await deliverDue(server.context);
        if (one === 'two-servers')
          await Promise.all([deliverDue(server.context), deliverDue(server.context)]);
        if (one === 'killed') {
          // Till the letter is with the mail server, which never answers; or there is none to go.
          const handed = new Promise<void>((resolve) => {
            mail.answer = () => {
              resolve();
              return new Promise(() => undefined);
            };
          });
          await Promise.race([handed, deliverDue(server.context)]);
          later(301);
        }
      }
      for (const [, address] of PEOPLE) {
        const handed = mail.taken.filter(({ to }) => to[0] === address).length;
        expect(handed).toBeLessThanOrEqual(1);
      }
      // What is not gone is either free to be sent, or told as waiting, refused or perhaps gone.
      const { rows } = await read(made);
      for (const [at, { sending }] of rows.entries()) {
        const handed = mail.taken.some(({ to }) => to[0] === PEOPLE[at]![1]);
        if (handed) expect(['gone', 'refused', 'going', 'perhaps-gone']).toContain(sending?.state);
        else expect([undefined, 'waiting']).toContain(sending?.state);
      }
      await server.context.db.delete(sendings);
      await server.context.db.delete(batchRows);
    }),
    { numRuns: 25 },
  );
});
