import { beforeEach, expect, test } from '@jest/globals';
import { fireEvent, render } from '@testing-library/react';
import { useState } from 'react';
import { usePageGestures } from './usePageGestures';
import type { ScreenPoint, SheetPlace, Zoom } from './useZoom';

/** What was done: places that were pointed at, in points, and how much what was enlarged about where. */
let pointed: unknown[] = [];
let enlarged: { by: number; to: ScreenPoint; place?: SheetPlace | null }[] = [];
beforeEach(() => {
  pointed = [];
  enlarged = [];
});

const zoom = {
  enlarge: (by: number, to: ScreenPoint, place?: SheetPlace | null) => enlarged.push({ by, to, place }),
  seenAt: ({ x, y }: ScreenPoint) => ({ along: x / 1000, down: y / 1000 }),
} as unknown as Zoom;

/** A page that is shown twice as large as it is, 100 px from the left and 50 from above. */
function Page() {
  const [pane, setPane] = useState<HTMLElement | null>(null);
  const gestures = usePageGestures(pane, 2, zoom, (to) => pointed.push(to));
  return (
    <div ref={setPane} data-testid="pane">
      <div data-testid="sheet" {...gestures}>
        <p className="marking">lamp</p>
      </div>
    </div>
  );
}

function shown() {
  const { getByTestId, getByText } = render(<Page />);
  const [pane, sheet] = [getByTestId('pane'), getByTestId('sheet')];
  sheet.getBoundingClientRect = () => ({ left: 100, top: 50 }) as DOMRect;
  const scrolled: [number, number][] = [];
  pane.scrollTo = ((left: number, top: number) =>
    void scrolled.push([left, top])) as unknown as typeof pane.scrollTo;
  return { pane, sheet, marking: getByText('lamp'), scrolled };
}

const at = (clientX: number, clientY: number, more: object = {}) => ({
  ...{ clientX, clientY, button: 0, isPrimary: true, pointerType: 'mouse', ...more },
});
const fingers = (...places: [number, number][]) => ({
  touches: places.map(([clientX, clientY]) => ({ clientX, clientY })),
});

test('a click is a place of the page, in its points; the hand may shake a little', () => {
  const { sheet, scrolled } = shown();
  fireEvent.pointerDown(sheet, at(300, 250));
  fireEvent.pointerMove(sheet, at(302, 251));
  fireEvent.pointerUp(sheet, at(302, 250));
  expect(pointed).toEqual([{ x: 101, y: 100 }]);
  expect(scrolled).toEqual([]);
});

test('a drag moves what is seen, and points at nothing, though it comes back', () => {
  const { pane, sheet, scrolled } = shown();
  [pane.scrollLeft, pane.scrollTop] = [40, 60];
  fireEvent.pointerDown(sheet, at(300, 250));
  fireEvent.pointerMove(sheet, at(280, 255));
  fireEvent.pointerMove(sheet, at(300, 250));
  fireEvent.pointerUp(sheet, at(300, 250));
  expect(scrolled).toEqual([
    [60, 55],
    [40, 60],
  ]);
  expect(pointed).toEqual([]);
});

test.each([
  ['on a marking', (page: ReturnType<typeof shown>) => page.marking, {}],
  ['of another button', (page: ReturnType<typeof shown>) => page.sheet, { button: 2 }],
  ['of a second finger', (page: ReturnType<typeof shown>) => page.sheet, { isPrimary: false }],
])('a press %s points at nothing', (_what, on, more) => {
  const page = shown();
  fireEvent.pointerDown(on(page), at(300, 250, more));
  fireEvent.pointerUp(page.sheet, at(300, 250, more));
  expect(pointed).toEqual([]);
});

test('a finger that moves scrolls by itself: the browser does it, and takes the press away', () => {
  const { sheet, scrolled } = shown();
  fireEvent.pointerDown(sheet, at(300, 250, { pointerType: 'touch' }));
  fireEvent.pointerMove(sheet, at(300, 200, { pointerType: 'touch' }));
  fireEvent.pointerCancel(sheet);
  fireEvent.pointerUp(sheet, at(300, 200, { pointerType: 'touch' }));
  expect([scrolled, pointed]).toEqual([[], []]);
});

test('two fingers that part enlarge by as much, about what was between them at first; they put nothing down', () => {
  const { pane, sheet } = shown();
  fireEvent.pointerDown(sheet, at(300, 250, { pointerType: 'touch' }));
  fireEvent.touchStart(pane, fingers([300, 250]));
  fireEvent.touchStart(pane, fingers([300, 250], [400, 250]));
  const isGone = !fireEvent.touchMove(pane, fingers([250, 250], [450, 250]));
  fireEvent.touchMove(pane, fingers([250, 350], [450, 350]));
  fireEvent.touchEnd(pane, fingers([250, 350]));
  fireEvent.pointerUp(sheet, at(250, 350, { pointerType: 'touch' }));
  // The browser's own zoom is held back.
  expect(isGone).toBe(true);
  const place = { along: 0.35, down: 0.25 };
  expect(enlarged).toEqual([
    { by: 2, to: { x: 350, y: 250 }, place },
    { by: 1, to: { x: 350, y: 350 }, place },
  ]);
  expect(pointed).toEqual([]);
});

test('the wheel enlarges with Ctrl alone, as much back as forth, and never by a jump', () => {
  const { pane } = shown();
  expect(fireEvent.wheel(pane, { deltaY: -100 })).toBe(true);
  expect(enlarged).toEqual([]);
  const turn = (deltaY: number, deltaMode = 0) =>
    fireEvent.wheel(pane, { deltaY, deltaMode, ctrlKey: true, clientX: 5, clientY: 6 });
  expect(turn(-100)).toBe(false);
  turn(100);
  turn(-10_000);
  // A mouse that counts lines.
  turn(-2, WheelEvent.DOM_DELTA_LINE);
  const [nearer, back, most, lines] = enlarged.map(({ by }) => by);
  expect(nearer).toBeGreaterThan(1.2);
  expect(nearer! * back!).toBeCloseTo(1);
  expect(most).toBeLessThan(1.5);
  expect(lines).toBeGreaterThan(1.1);
  expect(enlarged[0]).toMatchObject({ to: { x: 5, y: 6 } });
});
