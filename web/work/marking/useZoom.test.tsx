import { expect, test } from '@jest/globals';
import { act, renderHook } from '@testing-library/react';
import fc from 'fast-check';
import { useZoom } from './useZoom';

/** A pane of 600 by 400 px at (100, 50) of the screen, with a page of A4 in it that is as wide as the pane at first. */
function zoomed({ points = 595, current = null as { x: number; y: number } | null } = {}) {
  const pane = document.createElement('div');
  const sheet = pane.appendChild(document.createElement('div'));
  sheet.className = 'page-sheet';
  sheet.dataset.points = String(points);
  const rect = (left: number, top: number, width: number, height: number) =>
    ({ left, top, width, height, right: left + width, bottom: top + height }) as DOMRect;
  const { result } = renderHook(() => useZoom({ current: pane }));
  pane.getBoundingClientRect = () => rect(100, 50, 600, 400);
  sheet.getBoundingClientRect = () => {
    const { zoom } = result.current;
    return rect(100 - pane.scrollLeft, 50 - pane.scrollTop, 600 * zoom, 849 * zoom);
  };
  if (current) {
    const mark = sheet.appendChild(document.createElement('span'));
    mark.className = 'marking is-current';
    mark.getBoundingClientRect = () => rect(current.x, current.y, 80, 15);
  }
  /** As the page does once it has its new size. */
  const change = (how: () => void) => {
    act(how);
    act(() => result.current.settle());
  };
  return { pane, change, zoom: () => result.current };
}

test('what is beneath the pointer stays there, however much is enlarged, wherever one is', () => {
  const px = (most: number) => fc.integer({ min: 0, max: most });
  const turns = fc.array(
    fc.record({ by: fc.double({ min: 0.5, max: 2, noNaN: true }), x: px(600), y: px(400) }),
    {
      minLength: 1,
      maxLength: 6,
    },
  );
  fc.assert(
    fc.property(turns, px(500), px(500), (all, left, top) => {
      const { pane, change, zoom } = zoomed();
      [pane.scrollLeft, pane.scrollTop] = [left, top];
      for (const { by, x, y } of all) {
        const to = { x: 100 + x, y: 50 + y };
        const before = zoom().seenAt(to)!;
        change(() => zoom().enlarge(by, to));
        const after = zoom().seenAt(to)!;
        expect(after.along).toBeCloseTo(before.along, 6);
        expect(after.down).toBeCloseTo(before.down, 6);
      }
    }),
    { numRuns: 40 },
  );
});

test('by keys the marking at hand stays where it is seen; out of sight, the middle does', () => {
  for (const [current, stays] of [
    [
      { x: 500, y: 120 },
      { x: 500, y: 120 },
    ],
    [
      { x: 500, y: 2000 },
      { x: 400, y: 250 },
    ],
    [null, { x: 400, y: 250 }],
  ] as const) {
    const { change, zoom } = zoomed({ current });
    const before = zoom().seenAt(stays)!;
    change(() => zoom().larger());
    expect(zoom().zoom).toBeCloseTo(1.4);
    const after = zoom().seenAt(stays)!;
    expect([after.along, after.down]).toEqual([expect.closeTo(before.along), expect.closeTo(before.down)]);
  }
});

test('it ends where nothing more is to be seen, says so, and comes back to the whole width', () => {
  const { change, zoom } = zoomed();
  expect([zoom().isNearest, zoom().isFarthest]).toEqual([false, false]);
  for (let times = 0; times < 12; times += 1) change(() => zoom().larger());
  expect(zoom()).toMatchObject({ zoom: 12, isNearest: true });
  change(() => zoom().whole());
  expect(zoom()).toMatchObject({ zoom: 1, isNearest: false });
  for (let times = 0; times < 12; times += 1) change(() => zoom().smaller());
  expect(zoom()).toMatchObject({ zoom: 0.25, isFarthest: true });
});

test('a page of metres is enlarged until its letters can be read', () => {
  const { change, zoom } = zoomed({ points: 14_173 });
  for (let times = 0; times < 30; times += 1) change(() => zoom().larger());
  // Six px to each of its points: of 600 px that are 14,173 points wide.
  expect(zoom().zoom).toBeCloseTo((6 * 14_173) / 600);
});

test('where no page is shown nothing happens', () => {
  const { result } = renderHook(() => useZoom({ current: document.createElement('div') }));
  act(() => result.current.larger());
  expect(result.current.zoom).toBe(1);
  expect(result.current.seenAt({ x: 1, y: 1 })).toBeNull();
});
