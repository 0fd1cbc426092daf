import { randomUUID } from 'node:crypto';
import { afterAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { Problem } from '#contracts';
import type { Caller } from '../../testing/testServer';
import { PEOPLE, SETUP, letter, startBatchServer } from '../../testing/batches';

const { server, anouk, imke, read, batchOf, change, begin } = await startBatchServer();
afterAll(() => server.close());
beforeEach(begin);

describe('rows', () => {
  test('stand in their order; sent again they are the ones they were; nobody else sees them', async () => {
    const made = await batchOf();
    const [first] = made.rows;
    const again = { rows: [{ id: first, cells: ['Somebody else'] }] };
    expect((await anouk.post(`/api/cases/${made.of}/batch/rows`).send(again)).body).toEqual({ rows: 3 });
    const { rows, setup, version } = await read(made);
    expect([rows.map(({ cells }) => cells[0]), setup, version]).toEqual([
      PEOPLE.map(([name]) => name),
      SETUP,
      1,
    ]);
    await (await server.as('ruan')).get(`/api/cases/${made.of}/batch`).expect(404);
    expect((await read(made, imke)).rows).toHaveLength(3);
  });

  test('two who add at the same moment give no place twice', async () => {
    const made = await batchOf();
    const add = (who: Caller) =>
      who
        .post(`/api/cases/${made.of}/batch/rows`)
        .send({
          rows: [
            { id: randomUUID(), cells: ['New'] },
            { id: randomUUID(), cells: ['New'] },
          ],
        })
        .expect(200);
    await Promise.all([add(anouk), add(imke), add(anouk)]);
    const { rows } = await read(made);
    expect(rows.map(({ position }) => position)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
  });

  test('are taken out, but for those whose letter has gone; what comes later has numbers of its own', async () => {
    const made = await batchOf();
    const [a, b, c] = made.rows;
    await change(made, [{ row: c, gone: { way: 'docx', document: letter('x') } }]).expect(200);
    await change(made, [
      { row: a, drop: true },
      { row: c, drop: true },
    ]).expect(403);
    await change(made, [
      { row: a, drop: true },
      { row: b, isHeld: true },
    ]).expect(200);
    const more = { rows: [{ id: randomUUID(), cells: ['New'] }] };
    expect((await anouk.post(`/api/cases/${made.of}/batch/rows`).send(more)).body).toEqual({ rows: 3 });
    expect(
      (await read(made)).rows.map(({ position, cells, isHeld }) => [position, cells[0], isHeld]),
    ).toEqual([
      [1, 'Owen Marl', true],
      [2, 'Sena Brook', false],
      [3, 'New', false],
    ]);
  });

  test('how letters are made is kept once: who comes second is told', async () => {
    const made = await batchOf();
    const keep = (who: Caller, pace: number) =>
      who
        .put(`/api/cases/${made.of}/batch`)
        .set('If-Match', '"1"')
        .send({ setup: { ...SETUP, pace } });
    await keep(anouk, 10).expect(200);
    expect(((await keep(imke, 20).expect(412)).body as Problem).code).toBe('moved-on');
    expect((await read(made)).setup?.pace).toBe(10);
  });

  test('a letter that somebody else changed meanwhile is not overwritten; all changes come or none', async () => {
    const made = await batchOf();
    const [a, b] = made.rows;
    const byHand = { document: letter('By hand'), base: letter('As it was') };
    await change(made, [{ row: a, version: 1, byHand }]).expect(200);
    const other = { document: letter('Mine'), base: letter('As it was') };
    const refused = await change(
      made,
      [
        { row: b, isHeld: true },
        { row: a, version: 1, byHand: other },
      ],
      imke,
    );
    expect(refused.status).toBe(412);
    expect((refused.body as { current: { byHand: object } }).current.byHand).toEqual(byHand);
    const { rows } = await read(made);
    expect(rows.map(({ isHeld, version }) => [isHeld, version])).toEqual([
      [false, 2],
      [false, 1],
      [false, 1],
    ]);
    await change(made, [{ row: randomUUID(), isHeld: true }]).expect(404);
  });
});
