import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Case } from '#contracts';
import { problem } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;
let ruan: Caller;

beforeAll(async () => {
  server = await startTestServer();
  [imke, odile, ruan] = (await Promise.all(['imke', 'odile', 'ruan'].map(server.as))) as [
    Caller,
    Caller,
    Caller,
  ];
});
afterAll(() => server.close());

const text = (words: string) => ({ kind: 'text', text: words });
const correct = (caller: Caller, path: string, had: unknown, value: unknown) =>
  caller.post('/api/cases/hedgehog-bramble/corrections').send({ path, had, value });
const detail = async (caller: Caller, path: string) =>
  ((await caller.get('/api/cases/hedgehog-bramble').expect(200)).body as Case).record.details.find(
    (one) => one.path === path,
  );

test('a correction is there for all the case is given to, with who wrote it; to others the case is nothing', async () => {
  const before = (await detail(imke, 'name'))!;
  await correct(imke, 'name', before.value, text('Brambly')).expect(200);
  expect(await detail(odile, 'name')).toMatchObject({
    ...{ value: text('Brambly'), source: 'Written by Imke Tarrow', asOf: '2026-11-24' },
  });
  await correct(ruan, 'name', text('Brambly'), text('Mine')).expect(404);
  await correct(odile, 'name', text('Brambly'), before.value).expect(200);
  expect(await detail(imke, 'name')).toEqual(before);
});

test('of two who correct one detail the second is told what it says now, and nothing is lost; sent again it is done', async () => {
  await correct(imke, 'clinician', (await detail(imke, 'clinician'))?.value ?? null, text('Odile')).expect(
    200,
  );
  const second = await correct(odile, 'clinician', text('Somebody'), text('Imke'));
  expect(problem(second)).toMatchObject({ code: 'moved-on', detail: expect.stringContaining('“Odile”') });
  expect((await detail(imke, 'clinician'))!.value).toEqual(text('Odile'));
  await correct(odile, 'clinician', text('Somebody'), text('Odile')).expect(200);
});

test.each([
  ['what is measured', 'weight', text('5 kg')],
  ['what there is not', 'shoe', text('9')],
  ['a day that there is not', 'born', { kind: 'date', date: '2026-02-30' }],
])('%s is refused', async (_what, path, value) => {
  expect(problem(await correct(imke, path, null, value)).code).toBe('not-valid');
});

const change = (caller: Caller, body: object) => caller.post('/api/cases/hedgehog-bramble/lists').send(body);
const listsOf = async (caller: Caller) =>
  ((await caller.get('/api/cases/hedgehog-bramble').expect(200)).body as Case).record;

test('a weight is added by hand, corrected, taken out and put back, for all the case is given to', async () => {
  const weight = {
    code: 'weight',
    label: 'Weight',
    unit: 'g',
    measured: '2026-11-27',
    minute: null,
    by: null,
  };
  const now = { ...weight, value: 530, source: '' };
  await change(imke, { list: 'measurements', had: null, now }).expect(200);
  const added = (await listsOf(odile)).measurements.at(-1)!;
  expect(added).toMatchObject({ value: 530, source: 'Written by Imke Tarrow', byHand: true });
  await change(odile, { list: 'measurements', had: added, now: { ...now, value: 531 } }).expect(200);
  const late = await change(imke, { list: 'measurements', had: added, now: { ...now, value: 540 } });
  expect(problem(late).code).toBe('moved-on');
  const corrected = (await listsOf(imke)).measurements.at(-1)!;
  expect(corrected).toMatchObject({ value: 531, source: 'Written by Odile Brandt' });
  await change(imke, { list: 'measurements', had: corrected, now: null }).expect(200);
  const { removed, measurements } = await listsOf(odile);
  expect(measurements.some(({ value }) => value === 531)).toBe(false);
  expect(removed).toMatchObject([{ item: { value: 531 }, by: 'Written by Imke Tarrow' }]);
  await change(odile, { list: 'removed', back: removed![0] }).expect(200);
  expect((await listsOf(imke)).measurements.at(-1)).toEqual(corrected);
  await change(ruan, { list: 'measurements', had: null, now }).expect(404);
});

test.each([
  ['a day that is none', { list: 'measurements', had: null, now: { measured: '2026-02-30' } }],
  ['a list that is none', { list: 'secrets', had: null, now: {} }],
  ['a medicine without its name', { list: 'medicines', had: null, now: { dose: '1 mg' } }],
  ['nothing to put back', { list: 'removed', back: null }],
])('%s is refused, and nothing is changed', async (_, body) => {
  const before = await listsOf(imke);
  expect(problem(await change(imke, body)).code).toBe('not-valid');
  expect(await listsOf(imke)).toEqual(before);
});
