import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Term } from '#core/glossary';
import { planImport } from './importTerms';

/** Terms as a glossary gives them, a few at a time. */
async function* inPieces(terms: readonly Term[]) {
  for (let at = 0; at < terms.length; at += 3) yield await Promise.resolve(terms.slice(at, at + 3));
}

const term = fc.record({
  text: fc.constantFrom('alder', 'reed', 'sedge', 'sluice', 'warden', 'willow'),
  cue: fc.constantFrom('', 'x'),
  weight: fc.constantFrom(1, 2),
  note: fc.constant(''),
});
const list = fc.uniqueArray(term, { selector: ({ text }) => text });
const byText = (terms: readonly Term[]) => [...terms].sort((a, b) => a.text.localeCompare(b.text));

test('what stands afterwards is the word list, and beside it what it has no word about unless it replaces all', async () => {
  await fc.assert(
    fc.asyncProperty(list, list, fc.boolean(), async (before, read, replace) => {
      const { kept, written, added, changed, dropped } = await planImport(inPieces(before), read, replace);
      const wanted = new Map(replace ? [] : before.map((one) => [one.text, one]));
      for (const one of read) wanted.set(one.text, one);
      expect(byText([...kept, ...written])).toEqual(byText([...wanted.values()]));
      expect(added + changed).toBe(written.length);
      expect(before.length + added - dropped).toBe(wanted.size);
    }),
  );
});

test('a word list of 200,000 terms is no more than one of three', async () => {
  const read = Array.from({ length: 200_000 }, (_, at) => ({
    text: `r ${at}`,
    cue: '',
    weight: 1,
    note: '',
  }));
  expect(await planImport(inPieces([]), read, false)).toMatchObject({
    added: 200_000,
    changed: 0,
    dropped: 0,
  });
});
