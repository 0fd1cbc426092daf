import { afterEach, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import type { TrayLine } from '#contracts';
import type { ReadPaper } from '../../documents';
import { FileBeside } from './FileBeside';
import type { TrayFiles } from './here/trayFiles';

afterEach(cleanup);

const LINE = {
  ...{ id: 'l1', name: 'scan 0001.bin', bytes: 2048, changed: '2026-12-01T10:00:00.000Z', file: null },
} as TrayLine;
const read = (more: Partial<ReadPaper> = {}): ReadPaper =>
  ({
    kind: 'other',
    pages: 0,
    problem: null,
    paper: { from: '', title: '', text: '' },
    ...more,
  }) as ReadPaper;

/** Files of which the next one is there, is not open here, or is gone. */
const files = (...answers: (File | null | Error)[]) =>
  ({
    file: () => {
      const next = answers.shift() ?? null;
      return next instanceof Error ? Promise.reject(next) : Promise.resolve(next);
    },
  }) as unknown as TrayFiles;
const FILE = new File(['x'], LINE.name);

test('a file that is gone says so, and is shown again once it is back', async () => {
  const held = files(new Error('gone'), FILE);
  const view = render(<FileBeside line={LINE} files={held} read={read()} isOpen={false} />);
  await screen.findByText(/The file is gone from its place/);
  view.rerender(<FileBeside line={LINE} files={held} read={read()} isOpen />);
  await screen.findByText(/Such files are not shown here/);
  expect(screen.queryByText(/The file is gone/)).toBeNull();
});

test('one that is not open on this computer says that it can be named all the same', async () => {
  render(<FileBeside line={LINE} files={files(null)} read={undefined} isOpen={false} />);
  await screen.findByText(/It is not open on this computer/);
  expect(screen.getByText(/scan 0001\.bin, 2/)).toBeTruthy();
});

test('the words of a mail are read beside it, a long text cut; what cannot be read says why', async () => {
  const mail = { from: 'Mari Voss', title: 'Owls', text: 'Dear team. '.repeat(500) };
  const view = render(
    <FileBeside
      line={LINE}
      files={files(FILE, FILE)}
      read={read({ kind: 'mail', paper: mail } as never)}
      isOpen
    />,
  );
  await screen.findByText('Mari Voss: Owls');
  expect(screen.getByRole('region', { name: 'The file' }).textContent).toMatch(/ …$/);
  view.rerender(
    <FileBeside
      line={LINE}
      files={files(FILE)}
      read={read({ problem: 'It is locked with a password.' })}
      isOpen
    />,
  );
  await screen.findByText('It is locked with a password.');
  expect(screen.queryByText(/Such files are not shown/)).toBeNull();
});
