import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { expect, test } from '@jest/globals';
import { posixScript } from '#core/naming';

/** Runs a script with the shell of this system, in a folder that holds files of these names, each holding its name. */
function folderWith(names: readonly string[]): string {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'renamed-'));
  fs.mkdirSync(path.join(folder, 'in'));
  for (const name of names) fs.writeFileSync(path.join(folder, name), name);
  return folder;
}
const run = (folder: string, script: string, ...words: string[]) => {
  fs.writeFileSync(path.join(folder, 'rename.sh'), script);
  execFileSync('sh', ['rename.sh', ...words], { cwd: folder, stdio: 'pipe' });
};
const holds = (folder: string): Record<string, string> =>
  Object.fromEntries(
    fs
      .readdirSync(folder, { recursive: true, encoding: 'utf8' })
      .filter((name) => name !== 'rename.sh' && fs.statSync(path.join(folder, name)).isFile())
      .sort()
      .map((name) => [name, fs.readFileSync(path.join(folder, name), 'utf8')]),
  );

const WANTED = [
  {
    folder: '',
    renamings: [
      { from: "it's $HOME `id`.pdf", to: '-rf * "new".pdf' },
      { from: 'a.pdf', to: 'b.pdf' },
      { from: 'b.pdf', to: 'a.pdf' },
      { from: '-n', to: 'Café 雪.pdf' },
    ],
  },
  { folder: 'in', renamings: [{ from: 'Scan.pdf', to: 'scan.pdf' }] },
];
const NAMES = ["it's $HOME `id`.pdf", 'a.pdf', 'b.pdf', '-n', 'in/Scan.pdf', 'other.pdf'];

test('a script renames in a real folder, whatever names hold, and gives them back', () => {
  const folder = folderWith(NAMES);
  const before = holds(folder);
  const script = posixScript(WANTED);
  run(folder, script);
  expect(holds(folder)).toEqual({
    '-rf * "new".pdf': "it's $HOME `id`.pdf",
    'Café 雪.pdf': '-n',
    'a.pdf': 'b.pdf',
    'b.pdf': 'a.pdf',
    'in/scan.pdf': 'in/Scan.pdf',
    'other.pdf': 'other.pdf',
  });
  run(folder, script, 'undo');
  expect(holds(folder)).toEqual(before);
});

test('it writes over nothing, says what it left, and does the rest', () => {
  const folder = folderWith(['a.pdf', 'b.pdf', 'taken.pdf']);
  const script = posixScript([
    {
      folder: '',
      renamings: [
        { from: 'a.pdf', to: 'taken.pdf' },
        { from: 'gone.pdf', to: 'x.pdf' },
        { from: 'b.pdf', to: 'c.pdf' },
      ],
    },
  ]);
  let said = '';
  try {
    run(folder, script);
  } catch (error) {
    said = String((error as { stderr: Buffer }).stderr);
  }
  expect(said.trim().split('\n')).toEqual(['Left, the name is taken: ./a.pdf', 'Not there: ./gone.pdf']);
  expect(holds(folder)).toEqual({ 'a.pdf': 'a.pdf', 'c.pdf': 'b.pdf', 'taken.pdf': 'taken.pdf' });
});
