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
