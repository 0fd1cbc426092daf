import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { Dropped } from '../arrival';
import { bundleArrival } from './bundleArrival';

const dropped = (name: string, text: string, size?: number): Dropped => ({
  file: new File([text], name),
  bytes: new Uint8Array(size ?? text.length),
  text,
});

let sent: unknown;
const realFetch = globalThis.fetch;
beforeEach(() => {
  sent = null;
  globalThis.fetch = (_url, init) => {
    sent = JSON.parse(init!.body as string);
    return Promise.resolve({
      ...{ ok: true, status: 201 },
      json: () =>
        Promise.resolve({ taken: [], remarks: ['Left out: 1 Claim, Elderleaf does not read these.'] }),
    } as Response);
  };
});
afterEach(() => {
  globalThis.fetch = realFetch;
});

test.each([
  ['a Bundle', 'a.json', '{"resourceType":"Bundle"}', true],
  ['resources one a line', 'Patient.ndjson', 'x', true],
  ['JSON of no name', 'record', ' [{"resourceType":"Patient"}]', true],
  ['a table', 'a.csv', 'name;weight', false],
  ['words', 'a.txt', 'Seen at noon {as always}', false],
])('%s is told by its name or by what is in it', (_what, name, text, isOf) => {
  expect(bundleArrival.isOf(dropped(name, text))).toBe(isOf);
});

test('files that were dropped at once are sent together, each with its values', async () => {
  const arrived = await bundleArrival.take([
    dropped('a.json', '{"resourceType":"Patient"}'),
    dropped('b.ndjson', '{"resourceType":"Observation"}\r\n\n{"resourceType":"Goal"}\n'),
  ]);
  expect(sent).toEqual({
    files: [
      { name: 'a.json', values: [{ resourceType: 'Patient' }] },
      { name: 'b.ndjson', values: [{ resourceType: 'Observation' }, { resourceType: 'Goal' }] },
    ],
  });
  expect(arrived).toEqual({ cases: [], remarks: ['Left out: 1 Claim, Elderleaf does not read these.'] });
});

test.each([
  ['that is broken', '{"resourceType":', /^a\.json is not JSON: .+ No case was made\.$/],
  ['with a broken line', '{"a":1}\n{"b":', /^a\.json, line 2 is not JSON: /],
])('a file %s is refused with its place, and nothing is sent', async (_what, text, words) => {
  await expect(bundleArrival.take([dropped('a.json', text)])).rejects.toThrow(words);
  expect(sent).toBeNull();
});

test('more than can be sent is refused before it is sent', async () => {
  const large = dropped('a.json', '{}', 21 * 1024 * 1024);
  await expect(bundleArrival.take([large])).rejects.toThrow('a.json is larger than 20 MB');
  await expect(bundleArrival.take([large, large])).rejects.toThrow('together larger than 20 MB');
  expect(sent).toBeNull();
});
