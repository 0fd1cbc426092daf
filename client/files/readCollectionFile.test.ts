import { describe, expect, test } from '@jest/globals';
import { readCollectionFile } from './readCollectionFile';

describe('a file that was handed on', () => {
  const read = (held: unknown, name = 'tides.json') =>
    readCollectionFile(new File([typeof held === 'string' ? held : JSON.stringify(held)], name)).then(
      () => 'read',
      (error: unknown) => (error as Error).message,
    );

  test.each([
    ['{"form', /^tides\.json is not JSON: .*Nothing was brought in\.$/],
    [{ resourceType: 'Bundle' }, /is not a collection saved for another team/],
    [null, /is not a collection saved for another team/],
    [{ format: 'elderleaf-collection', version: 2 }, /made by a later Elderleaf/],
    [{ format: 'elderleaf-collection', version: 1, entries: 3 }, /is damaged at .*Nothing was brought in/],
  ])('%j is told', async (held, wanted) => {
    expect(await read(held)).toMatch(wanted);
  });
});
