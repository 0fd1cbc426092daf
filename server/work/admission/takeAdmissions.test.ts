import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Case, CaseSummary, TakenCase } from '#contracts';
import { problem } from '../../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../../testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;

beforeAll(async () => {
  server = await startTestServer();
  [imke, odile] = [await server.as('imke'), await server.as('odile')];
});
afterAll(() => server.close());

interface Taken {
  taken: TakenCase[];
  remarks: string[];
}

const patient = (value: string, more: object = {}) => ({
  resourceType: 'Patient',
  id: value,
  identifier: [{ system: 'urn:hollin-marsh:ring', value }],
  name: [{ text: `Animal ${value}` }],
  ...more,
});
const weight = (of: string, value: number, day: string, more: object = {}) => ({
  resourceType: 'Observation',
  id: `${of}-${day}`,
  status: 'final',
  code: { coding: [{ code: '29463-7', display: 'Weight' }] },
  subject: { reference: `Patient/${of}` },
  effectiveDateTime: day,
  valueQuantity: { value, unit: 'g' },
  ...more,
});
const take = async (caller: Caller, ...values: object[]) =>
  (
    await caller
      .post('/api/cases/fhir')
      .send({ files: [{ name: 'a.ndjson', values }] })
      .expect(201)
  ).body as Taken;
const caseOf = async (caller: Caller, id: string) =>
  (await caller.get(`/api/cases/${id}`).expect(200)).body as Case;
const desk = async (caller: Caller) => (await caller.get('/api/cases').expect(200)).body as CaseSummary[];

describe('files of a record system', () => {
  test('several patients become several cases of mine alone', async () => {
    const { taken } = await take(imke, patient('A1'), patient('A2'), weight('A2', 5, '2026-11-20'));
    expect(taken).toMatchObject([
      { case: { title: 'Animal A1' }, isNew: true },
      { case: { title: 'Animal A2' }, isNew: true },
    ]);
    expect((await caseOf(imke, taken[1]!.case.id)).record.measurements).toMatchObject([{ value: 5 }]);
    await odile.get(`/api/cases/${taken[0]!.case.id}`).expect(404);
  });

  test('the same patient a week later is the same case: what is new is added, what changed is told, mine stays', async () => {
    const [first] = (
      await take(imke, patient('B1'), weight('B1', 400, '2026-11-10'), weight('B1', 410, '2026-11-12'))
    ).taken;
    const { id } = first!.case;
    const [had] = (await caseOf(imke, id)).record.measurements;
    const now = { ...had!, value: 404 };
    await imke.post(`/api/cases/${id}/lists`).send({ list: 'measurements', had, now }).expect(200);
    const { taken, remarks } = await take(
      imke,
      patient('B1', { gender: 'female' }),
      weight('B1', 402, '2026-11-10'),
      weight('B1', 412, '2026-11-12'),
      weight('B1', 430, '2026-11-17'),
      { resourceType: 'Claim' },
    );
    expect(taken).toMatchObject([
      {
        case: { id },
        isNew: false,
        added: { measurements: 1 },
        changed: [{ list: 'measurements', had: { value: 410 }, now: { value: 412 } }],
        details: [{ path: 'sex', was: null, now: { text: 'female' } }],
        kept: 1,
      },
    ]);
    expect(remarks).toEqual(['Left out: 1 Claim, Elderleaf does not read these.']);
    const { record } = await caseOf(imke, id);
    expect(record.measurements.map(({ value }) => value)).toEqual([404, 412, 430]);
    expect(record.measurements[0]).toMatchObject({ byHand: true, said: { value: 402 } });
  });

  test('sent again it changes nothing, and says so by saying nothing', async () => {
    const files = [patient('C1'), weight('C1', 1, '2026-11-10')];
    await take(imke, ...files);
    expect((await take(imke, ...files)).taken).toMatchObject([
      { isNew: false, added: {}, changed: [], details: [], kept: 0, withdrawn: 0 },
    ]);
  });

  test('what was entered in error is taken out of the case it came to', async () => {
    const [first] = (await take(imke, patient('D1'), weight('D1', 9, '2026-11-10'))).taken;
    const wrong = weight('D1', 9, '2026-11-10', { status: 'entered-in-error' });
    expect((await take(imke, patient('D1'), wrong)).taken).toMatchObject([{ withdrawn: 1 }]);
    const { record } = await caseOf(imke, first!.case.id);
    expect([record.measurements, record.removed]).toMatchObject([[], [{ item: { value: 9 } }]]);
  });

  test('a colleague’s case of the same patient is not touched, nor told of; nor is one that is closed', async () => {
    const [theirs] = (await take(odile, patient('E1'))).taken;
    const [mine] = (await take(imke, patient('E1'), weight('E1', 7, '2026-11-10'))).taken;
    expect([mine!.isNew, mine!.case.id === theirs!.case.id]).toEqual([true, false]);
    expect((await caseOf(odile, theirs!.case.id)).record.measurements).toEqual([]);
    await imke.post(`/api/cases/${mine!.case.id}/changes`).send({ do: 'close' }).expect(200);
    expect((await take(imke, patient('E1'))).taken[0]!.isNew).toBe(true);
  });

  test('dropped twice at once a patient is one case', async () => {
    const both = await Promise.all(
      [1, 2].map(() => take(imke, patient('H1'), weight('H1', 3, '2026-11-10'))),
    );
    const all = both.flatMap(({ taken }) => taken);
    expect(new Set(all.map((one) => one.case.id)).size).toBe(1);
    expect(all.map(({ isNew }) => isNew).sort()).toEqual([false, true]);
    expect((await caseOf(imke, all[0]!.case.id)).record.measurements).toHaveLength(1);
  });

  test('a Bundle by itself and a list of resources are taken as they come', async () => {
    const entry = [patient('F1'), weight('F1', 3, '2026-11-10')];
    const bundle = {
      resourceType: 'Bundle',
      type: 'collection',
      entry: entry.map((resource) => ({ resource })),
    };
    expect((await imke.post('/api/cases/fhir').send(bundle).expect(201)).body).toMatchObject({
      taken: [{ isNew: true }],
    });
    expect((await imke.post('/api/cases/fhir').send(entry).expect(201)).body).toMatchObject({
      taken: [{ isNew: false }],
    });
  });

  test('with one fault among many nothing is made, and every fault is told', async () => {
    const before = (await desk(imke)).length;
    const broken = Array.from({ length: 300 }, (_, at) => weight('G1', at, '2026-11-10', { code: at }));
    const files = [{ name: 'g.ndjson', values: [patient('G1'), ...broken] }];
    const refused = problem(await imke.post('/api/cases/fhir').send({ files }).expect(422));
    expect(refused.faults).toHaveLength(300);
    expect(refused.faults![0]!.place).toBe('g.ndjson, line 2 (Observation).code');
    expect((await desk(imke)).length).toBe(before);
  });

  test.each<[string, object]>([
    ['nothing of the sort', { what: 1 }],
    ['files that are none', { files: 'all' }],
    ['a number among resources', [1]],
  ])('%s is not valid', async (_what, body) => {
    await imke.post('/api/cases/fhir').send(body).expect(422);
  });
});
