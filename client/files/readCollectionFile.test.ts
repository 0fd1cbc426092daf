import { describe, expect, test } from '@jest/globals';
import { readCollectionFile } from './readCollectionFile';

describe('a file that was handed on', () => {
  const read = (held: unknown, name = 'tides.json') =>
    readCollectionFile(new File([typeof held === 'string' ? held : JSON.stringify(held)], name)).then(
      () => 'read',
      (error: unknown) => (error as Error).message,
    );

  test.each([
    ['{"form', /^tides\.json is not JSON: .*Nothing was taken over\.$/],
    [{ resourceType: 'Bundle' }, /is not a collection that was handed on/],
    [null, /is not a collection that was handed on/],
    [{ format: 'elderleaf-collection', version: 2 }, /made by a later Elderleaf/],
    [{ format: 'elderleaf-collection', version: 1, entries: 3 }, /is damaged at .*Nothing was taken over/],
  ])('%j is told', async (held, wanted) => {
    expect(await read(held)).toMatch(wanted);
  });

  test('one of more than 4 MB is not read at all', async () => {
    expect(await read('x'.repeat(4 * 1024 * 1024 + 1))).toMatch(/larger than 4 MB/);
  });
});
