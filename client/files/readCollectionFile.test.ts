import { describe, expect, test } from '@jest/globals';
import { readCollectionFile } from './readCollectionFile';

const PASSAGE = { type: 'doc', content: [{ type: 'paragraph' }] };

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

  test('with files it may be larger than with wording alone', async () => {
    const rules = {
      before: 'space',
      fires: 'closing',
      closers: ['space'],
      keepCloser: true,
      letters: 'exact',
    };
    const settings = { leadIn: ',', cueRules: rules, cuesBy: 'initials', kindsOfWork: [], language: 'en-GB' };
    const content = (note: string) => ({
      ...{ version: 1, title: 'Map', purpose: '', note, tags: [], cues: [], fields: [] },
      wordings: [
        { id: 'w', name: 'Main', language: 'en-GB', parts: [{ id: 't', name: 'Text', passage: PASSAGE }] },
      ],
    });
    const file = (note: string, count: number, data: string) => ({
      ...{ format: 'elderleaf-collection', version: 1 },
      collections: [{ ...settings, id: 'c', parent: null, name: 'Tides' }],
      entries: Array.from({ length: count }, (_, at) => ({
        id: `e${at}`,
        collection: 'c',
        content: content(note),
      })),
      files: [{ hash: 'a'.repeat(64), data }],
    });
    expect(await read(file('', 1, 'QUJD'.repeat(1_100_000)))).toBe('read');
    expect(await read(file('n'.repeat(5000), 900, 'QUJD'))).toMatch(
      /wording in tides.json is larger than 4 MB/,
    );
  });
});
