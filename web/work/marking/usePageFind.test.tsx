import { expect, test } from '@jest/globals';
import { act, renderHook, waitFor } from '@testing-library/react';
import { MarkingOnSchema } from '#core/passage';
import type { PdfRun } from '#core/submission';
import type { PageSource } from '../../documents';
import { addMarking, markingsIn } from '../../editor';
import { bareView, leafOf } from '../../testing/leafState';
import { usePageFind } from './usePageFind';
import type { Markings } from './useMarkings';

const run = (text: string, y: number): PdfRun => ({
  ...{ text, x: 10, y, width: text.length * 5, size: 10, angle: 0, font: 'f' },
  ...{ isBold: false, isItalic: false, isRtl: false },
});

/** Pages that each say some lines, or fail with words; which of them were read is counted. */
function pagesSaying(pages: readonly (readonly string[] | Error)[]) {
  const read: number[] = [];
  const runs = (page: number) => {
    read.push(page);
    const said = pages[page]!;
    return said instanceof Error
      ? Promise.reject(said)
      : Promise.resolve(said.map((text, at) => run(text, 50 + 20 * at)));
  };
  return { read, source: { count: pages.length, runs } as unknown as PageSource };
}

/** Markings that say something on a page each, and what was gone to among them and on the pages. */
function markedWith(said: readonly [id: string, page: number, words: string][]) {
  const { view, state } = bareView(leafOf(['']));
  for (const [id, page, words] of said) {
    const marking = MarkingOnSchema.parse({ id, page, at: { x: 0, y: 0 } });
    view.dispatch(addMarking(state(), marking, [words]));
  }
  const gone: unknown[] = [];
  const acts = {
    pick: (id: string) => gone.push(id),
    look: (page: number, { y }: { y: number }) => gone.push([page, Math.round(y)]),
  };
  return { gone, markings: { markings: markingsIn(state().doc), acts } as unknown as Markings };
}

const found = (
  pages: readonly (readonly string[] | Error)[],
  said: Parameters<typeof markedWith>[0] = [],
) => {
  const { source, read } = pagesSaying(pages);
  const { markings, gone } = markedWith(said);
  const { result } = renderHook(() => usePageFind(source, markings));
  const type = (words: string | null) => act(() => result.current.type(words));
  const step = (by: 1 | -1) => act(() => result.current.step(by));
  const through = () => waitFor(() => expect(result.current.looked).toBe(pages.length));
  return { find: () => result.current, type, step, through, read, gone };
};

test('words are found on pages and in markings, page by page; stepping goes round, backwards from the last', async () => {
  const { find, type, step, through, gone } = found(
    [['Ward and hall'], ['Store'], ['Hall', 'a wide hall']],
    [['lamp', 1, 'a lamp in the hall']],
  );
  type('HALL');
  await through();
  expect(find().found.map(({ page, marking }) => [page, marking])).toEqual([
    [0, null],
    [1, 'lamp'],
    [2, null],
    [2, null],
  ]);
  for (let steps = 0; steps < 5; steps += 1) step(1);
  expect(gone).toEqual([[0, 42], 'lamp', [2, 42], [2, 62], [0, 42]]);
  expect(find().at).toBe(0);
  type('hall');
  await through();
  expect(find().at).toBe(-1);
  step(-1);
  expect(gone.at(-1)).toEqual([2, 62]);
});

test('a page is read once, whatever is looked for after it; nothing typed finds nothing and reads nothing', async () => {
  const { find, type, through, read } = found([['Ward'], ['Store']], [['lamp', 0, 'lamp']]);
  type('  ');
  expect([find().found, read]).toEqual([[], []]);
  type('ward');
  await through();
  type('store');
  await waitFor(() => expect(find().found).toHaveLength(1));
  expect(read).toEqual([0, 1]);
  type(null);
  expect(find().typed).toBeNull();
  expect(find().found).toEqual([]);
});

test('pages without words say so, and their markings are found all the same', async () => {
  const { find, type, through } = found([[], []], [['lamp', 1, 'a lamp']]);
  type('lamp');
  await through();
  expect(find().hadWords).toBe(false);
  expect(find().found.map(({ marking }) => marking)).toEqual(['lamp']);
});

test('a page that cannot be read is told; what stands in markings is found', async () => {
  const { find, type } = found([['Ward'], new Error('half a page')], [['lamp', 0, 'the ward lamp']]);
  type('ward');
  await waitFor(() => expect(find().failed).not.toBeNull());
  expect(find().found.map(({ marking }) => marking)).toEqual(['lamp']);
});

test('what is found late for words that are no longer looked for is not shown', async () => {
  let answer: (runs: PdfRun[]) => void = () => undefined;
  const slow = new Promise<PdfRun[]>((resolve) => {
    answer = resolve;
  });
  const source = { count: 1, runs: () => slow } as unknown as PageSource;
  const { markings } = markedWith([]);
  const { result } = renderHook(() => usePageFind(source, markings));
  act(() => result.current.type('ward'));
  act(() => result.current.type('store'));
  await act(async () => {
    answer([run('Ward ward', 50), run('Store', 70)]);
    await slow;
  });
  await waitFor(() => expect(result.current.looked).toBe(1));
  expect(result.current.found).toHaveLength(1);
});
