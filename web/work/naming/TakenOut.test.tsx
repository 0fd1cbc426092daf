import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { FileInTray, LineChange, TrayLine } from '#contracts';
import { emptyDraft } from '#core/draft';
import { answering, refusal } from '../../../client/testing/answering';
import { queryClient } from '../../api';
import { asking } from '../../testing/settled';
import { useTakenOut } from './TakenOut';

const LINE: TrayLine = {
  ...{ id: '7d9f1c1e-5a54-4f0a-9a55-0d6f3f1b2c3d', folder: '', name: 'Scan1.tif', bytes: 3, file: null },
  ...{ changed: '2026-11-24T10:00:00.000Z', position: 0, version: 4, document: emptyDraft() },
  ...{ words: 'Owls', newName: 'Owls.tif', namedAt: null, renamed: null, renamedAt: null },
};

/** The lines that the server has. */
let lines: TrayLine[];
let isFull: boolean;
let restore: () => void;
beforeEach(() => {
  queryClient.clear();
  lines = [];
  isFull = false;
  ({ restore } = answering((_to, body) => {
    const { files = [], changes = [] } = body as { files?: FileInTray[]; changes?: LineChange[] };
    if (isFull) return refusal('too-many', 'A tray takes 2,000 files at the most. These were not added.');
    for (const file of files)
      lines.push({ ...LINE, ...file, file: null, version: 1, document: null, words: '', newName: null });
    for (const { written, newName } of changes)
      lines = lines.map((line) => ({ ...line, version: 2, ...written, newName: newName ?? null }));
    return { json: { lines } };
  }));
});
afterEach(() => {
  cleanup();
  restore();
});

const done: string[] = [];
function Page({ line }: { line: TrayLine | null }) {
  return useTakenOut('post', line, (id) => done.push(id)).notice;
}
const undo = () => userEvent.click(screen.getByRole('button', { name: 'Undo' }));

test('a file that was taken out is back with the name that was written for it', async () => {
  done.length = 0;
  render(<Page line={LINE} />, { wrapper: asking });
  await undo();
  await waitFor(() => expect(done).toEqual([LINE.id]));
  expect(lines).toMatchObject([{ id: LINE.id, name: 'Scan1.tif', words: 'Owls', newName: 'Owls.tif' }]);
});

test('where the tray is full it says so, and can be tried once more', async () => {
  done.length = 0;
  isFull = true;
  render(<Page line={LINE} />, { wrapper: asking });
  await undo();
  await screen.findByText(/A tray takes 2,000 files at the most/);
  isFull = false;
  await undo();
  await waitFor(() => expect(done).toEqual([LINE.id]));
});
