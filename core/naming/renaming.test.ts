import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { alikeKey } from './nameFaults';
import { posixScript, powerShellScript } from './renameScripts';
import { renameSteps, type Renaming } from './renameSteps';

/** What a folder holds after single renamings, as a system that minds no capitals does them: it refuses a name that is taken. */
function after(files: ReadonlyMap<string, string>, steps: readonly Renaming[]): Map<string, string> {
  const now = new Map([...files].map(([name, content]) => [alikeKey(name), { name, content }]));
  for (const { from, to } of steps) {
    const one = now.get(alikeKey(from));
    if (!one) throw new Error(`there is no ${from}`);
    if (alikeKey(from) !== alikeKey(to) && now.has(alikeKey(to))) throw new Error(`${to} is taken`);
    now.delete(alikeKey(from));
    now.set(alikeKey(to), { name: to, content: one.content });
  }
  return new Map([...now.values()].map(({ name, content }) => [name, content]));
}

test('names are given in an order in which none is taken', () => {
  const wanted = [
    { from: 'a', to: 'b' },
    { from: 'b', to: 'c' },
    { from: 'x', to: 'y' },
    { from: 'y', to: 'x' },
    { from: 'Case', to: 'case' },
    { from: 'same', to: 'same' },
  ];
  const files = new Map(['a', 'b', 'x', 'y', 'Case', 'same'].map((name) => [name, `was ${name}`]));
  expect([...after(files, renameSteps(wanted))].sort()).toEqual([
    ['b', 'was a'],
    ['c', 'was b'],
    ['case', 'was Case'],
    ['same', 'was same'],
    ['x', 'was y'],
    ['y', 'was x'],
  ]);
});

test('whatever files change names among themselves, each ends with its own, and back again', () => {
  const names = fc.uniqueArray(fc.constantFrom(...'abcdefghij'), { minLength: 1 });
  fc.assert(
    fc.property(
      names.chain((from) =>
        fc.tuple(
          fc.constant(from),
          fc.shuffledSubarray([...from, 'k', 'l', 'm'], { minLength: from.length }),
        ),
      ),
      ([from, to]) => {
        const wanted = from.map((name, at) => ({ from: name, to: to[at]! }));
        const files = new Map(from.map((name) => [name, name]));
        const done = after(files, renameSteps(wanted));
        expect([...done].sort()).toEqual(wanted.map((one) => [one.to, one.from]).sort());
        const back = wanted.map((one) => ({ from: one.to, to: one.from }));
        expect([...after(done, renameSteps(back))].sort()).toEqual([...files].sort());
      },
    ),
  );
});

test('two files with one name, or one that another file keeps, are refused', () => {
  expect(() =>
    renameSteps([
      { from: 'a', to: 'one' },
      { from: 'b', to: 'ONE' },
    ]),
  ).toThrow('two files would be called ONE');
  expect(() => renameSteps([{ from: 'a', to: 'kept' }], (name) => name === 'kept')).toThrow(
    'two files would be called kept',
  );
});

test('scripts quote whatever a name holds', () => {
  const folders = [{ folder: 'post/in', renamings: [{ from: "it's -x $HOME.pdf", to: '-a `b`.pdf' }] }];
  expect(posixScript(folders)).toContain("change './post/in/it'\\''s -x $HOME.pdf' './post/in/-a `b`.pdf'");
  const power = powerShellScript(folders);
  expect(power).toContain("Change-Name '.\\post\\in\\it''s -x $HOME.pdf' '-a `b`.pdf'");
  expect(power.startsWith('\uFEFF#')).toBe(true);
  expect(power.split('\n').every((line) => line === '' || line.endsWith('\r'))).toBe(true);
});
