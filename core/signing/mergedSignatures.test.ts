import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mergedSignatures, type Signature } from './index';

const set = (id: string, phone: string): Signature => ({
  ...{ id, label: id, name: '', job: '', email: '', address: '', kinds: [], collections: [] },
  phone,
});
/** Sets in short: "a1" is the set "a" with the phone "1". */
const sets = (words: string) => words.split(' ').flatMap((one) => (one ? [set(one[0]!, one.slice(1))] : []));
const short = (all: readonly Signature[]) => all.map(({ id, phone }) => id + phone).join(' ');

test.each([
  ['nobody else saved anything', 'a1 b1', 'a2 b1', 'a1 b1', 'a2 b1'],
  ['each changed another', 'a1 b1', 'a2 b1', 'a1 b2', 'a2 b2'],
  ['both changed one: as it is here', 'a1', 'a2', 'a3', 'a2'],
  ['each added one', 'a1', 'a1 b1', 'a1 c1', 'a1 b1 c1'],
  ['removed there', 'a1 b1', 'a1 b1', 'a1', 'a1'],
  ['removed here', 'a1 b1', 'a1', 'a1 b1', 'a1'],
  ['removed there and changed here', 'a1', 'a2', '', 'a2'],
  ['removed here and changed there', 'a1', '', 'a2', 'a2'],
  ['the order is that of here', 'a1 b1', 'b1 a1', 'a2 b1', 'b1 a2'],
])('%s', (_what, had, mine, theirs, wanted) => {
  expect(short(mergedSignatures(sets(had), sets(mine), sets(theirs)))).toBe(wanted);
});

test('what was written on either side is there, and no set twice', () => {
  const some = fc
    .uniqueArray(fc.constantFrom('a', 'b', 'c', 'd'))
    .chain((ids) =>
      fc.tuple(...ids.map((id) => fc.constantFrom('1', '2', '3').map((phone) => set(id, phone)))),
    );
  fc.assert(
    fc.property(some, some, some, (had, mine, theirs) => {
      const merged = mergedSignatures(had, mine, theirs);
      const ids = merged.map(({ id }) => id);
      expect(new Set(ids).size).toBe(ids.length);
      const was = (one: Signature) => had.find(({ id }) => id === one.id)?.phone === one.phone;
      for (const one of mine) if (!was(one)) expect(merged).toContainEqual(one);
      for (const one of theirs) if (!was(one)) expect(ids).toContain(one.id);
    }),
  );
});
