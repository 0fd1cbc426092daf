import { beforeEach, expect, test } from '@jest/globals';
import type { Editor } from '@tiptap/react';
import { MarkingOnSchema, type MarkingOn, type PagePoint } from '#core/passage';
import { addMarking, markingsIn } from '../../editor';
import type { PageSize } from '../../documents';
import { bareView, leafOf } from '../../testing/leafState';
import { MarkingActs } from './markingActs';
import type { Pointing, View } from './markingHost';

/** A page without a screen: what the acts set is kept here. */
interface Bench {
  page: number;
  cross: PagePoint;
  current: string | null;
  pointing: Pointing;
  view: View;
  isReading: boolean;
  isForAll: boolean;
  open: boolean;
  size: PageSize;
  said: string | null;
}

let bench: Bench;
let bare: ReturnType<typeof bareView>;
beforeEach(() => {
  bench = {
    ...{ page: 0, cross: { x: 72, y: 72 }, current: null, pointing: 'marking', view: 'page' },
    ...{ isReading: true, isForAll: false, open: true, size: { width: 595, height: 842 }, said: null },
  };
  bare = bareView(leafOf(['']));
});

const look = { current: { size: 'medium', colour: 'ink', framed: false } as const };
/** The acts as they are after each change of the page. */
const acts = () => {
  const editor = {
    view: bare.view,
    get state() {
      return bare.state();
    },
  } as unknown as Editor;
  return new MarkingActs({
    ...{ editor, open: bench.open, page: bench.page, cross: bench.cross, current: bench.current },
    ...{ pointing: bench.pointing, isForAll: bench.isForAll, size: { current: bench.size } },
    ...{ look: { current: { ...look.current } }, pane: { current: null } },
    say: (words) => (bench.said = words),
    setPage: (page) => (bench.page = page),
    setCross: (to) => (bench.cross = typeof to === 'function' ? to(bench.cross) : to),
    setReading: (isReading) => (bench.isReading = isReading),
    pick: (id) => (bench.current = id),
    point: (pointing) => (bench.pointing = pointing),
    setView: (view) => (bench.view = view),
  });
};

const all = () => markingsIn(bare.state().doc);
const found = (id: string) => all().find(({ marking }) => marking.id === id)!.marking;
/** Puts a marking down that says what it is called, or something else. */
function put(id: string, change: Partial<MarkingOn> = {}, words = id) {
  const marking = MarkingOnSchema.parse({ id, page: 0, at: { x: 10, y: 20 }, ...change });
  bare.view.dispatch(addMarking(bare.state(), marking, [words]));
}

test.each<[what: string, at: PagePoint, then: PagePoint]>([
  ['beneath it, where that is the lesser move', { x: 14, y: 90 }, { x: 10, y: 90 }],
  ['beside it, where that is', { x: 200, y: 23 }, { x: 200, y: 20 }],
])('a marking goes in line with another %s', (_what, at, then) => {
  put('a');
  put('b', { at });
  bench.current = 'b';
  bench.pointing = 'line-up';
  acts().pick('a');
  expect(found('b').at).toEqual(then);
  expect([bench.pointing, bench.current, bench.cross]).toEqual(['marking', 'b', then]);
});

test('two that are in line stay; stepping lines up as pointing does', () => {
  put('a');
  put('b', { at: { x: 10, y: 90 } });
  [bench.current, bench.pointing] = ['b', 'line-up'];
  acts().step(-1);
  expect([found('b').at, bench.said]).toEqual([{ x: 10, y: 90 }, 'The two are in line.']);
});

test('a look is given to one, or to all that say the same; so is deleting', () => {
  put('a', {}, 'in order');
  put('b', {}, 'to be mended');
  put('c', { page: 2 }, 'in order');
  bench.current = 'a';
  acts().changeLook({ colour: 'rust' });
  expect(all().map(({ marking }) => marking.colour)).toEqual(['rust', 'ink', 'ink']);
  bench.isForAll = true;
  acts().changeLook({ colour: 'leaf' });
  expect(all().map(({ marking }) => marking.colour)).toEqual(['leaf', 'ink', 'leaf']);
  acts().drop();
  expect(all().map(({ marking }) => marking.id)).toEqual(['b']);
  expect([bench.current, bench.said]).toEqual([null, '2 markings are deleted. Ctrl Z brings them back.']);
});

test('the same goes to pages that are named, but for its own; too many are refused, and nothing is put down', () => {
  put('a', { page: 1, lead: { to: { x: 60, y: 70 }, as: 'arrow' } });
  bench.current = 'a';
  acts().again([0, 1, 4]);
  expect(all().map(({ marking }) => [marking.page, marking.at, marking.lead?.to])).toEqual(
    [0, 1, 4].map((page) => [page, { x: 10, y: 20 }, { x: 60, y: 70 }]),
  );
  expect([bench.page, bench.said]).toEqual([0, 'It is on 2 more pages now. Ctrl Z takes them back.']);
  [bench.current, bench.said] = ['a', null];
  acts().again(Array.from({ length: 400 }, (_one, page) => page));
  expect(all()).toHaveLength(3);
  expect(bench.said).toMatch(/^It goes on at most 300 pages at once\. Nothing was put down/);
  acts().again([1]);
  expect([all().length, bench.said]).toEqual([3, 'It is on that page already. Name another one.']);
});

test('here the same goes to the cross, or beneath itself; on a large page further beneath', () => {
  put('a');
  [bench.current, bench.cross] = ['a', { x: 10, y: 20 }];
  acts().again();
  bench.cross = { x: 300, y: 40 };
  acts().again();
  [bench.current, bench.cross, bench.size] = ['a', { x: 10, y: 20 }, { width: 4004, height: 4004 }];
  acts().again();
  expect(all().map(({ marking: { at } }) => at)).toEqual([
    ...[
      { x: 10, y: 20 },
      { x: 10, y: 38 },
      { x: 300, y: 40 },
      { x: 10, y: 92 },
    ],
  ]);
});

test.each<[what: string, by: [number, number], at: PagePoint]>([
  ['right and lower edge', [5000, 5000], { x: 577, y: 824 }],
  ['left and upper edge', [-5000, -5000], { x: 0, y: 0 }],
])('nothing is moved beyond the %s of its page, where nobody would see it', (_what, by, at) => {
  put('a');
  bench.current = 'a';
  acts().move(...by);
  expect([found('a').at, bench.cross]).toEqual([at, at]);
  bench.current = null;
  bench.cross = { x: 300, y: 300 };
  acts().move(...by);
  expect([found('a').at, bench.cross]).toEqual([at, at]);
});

test('dragged by its handle while it is led elsewhere, it is the marking that moves, and not where it leads', () => {
  put('a');
  [bench.current, bench.cross, bench.pointing] = ['a', { x: 100, y: 120 }, 'arrow'];
  expect(acts().moveMarking(5, -5)).toBe(true);
  expect([found('a').at, bench.cross]).toEqual([
    { x: 15, y: 15 },
    { x: 100, y: 120 },
  ]);
  bench.open = false;
  expect(acts().moveMarking(5, -5)).toBe(false);
  expect(found('a').at).toEqual({ x: 15, y: 15 });
});

test('arrows move the marking at hand; while it is led elsewhere they move the cross, and Enter leads it there', () => {
  put('a');
  [bench.current, bench.cross] = ['a', { x: 10, y: 20 }];
  acts().move(9, 0);
  expect(found('a').at).toEqual({ x: 19, y: 20 });
  bench.pointing = 'arrow';
  acts().move(0, 9);
  acts().move(0, 9);
  expect([found('a').at, bench.cross]).toEqual([
    { x: 19, y: 20 },
    { x: 19, y: 38 },
  ]);
  acts().pointAt(bench.cross);
  expect(found('a').lead).toEqual({ to: { x: 19, y: 38 }, as: 'arrow' });
  expect(bench.pointing).toBe('marking');
  acts().leadNowhere();
  expect(found('a').lead).toBeNull();
});

test('what answers a remark is on its page, a little to the right, and knows what it answers', () => {
  put('a', { page: 3 });
  bench.page = 3;
  const on = [{ left: 100, right: 120, top: 50, bottom: 70 }];
  acts().answer({
    page: 1,
    on,
    object: [12, 0],
    answers: null,
    author: 'Ruan Pellow',
    at: '',
    text: 'Which?',
  });
  expect(all().map(({ marking: { page, at, answers } }) => [page, at, answers ?? null])).toEqual([
    [1, { x: 126, y: 50 }, [12, 0]],
    [3, { x: 10, y: 20 }, null],
  ]);
  expect([bench.page, bench.isReading]).toEqual([1, false]);
});

test('one that was begun and not written goes when the page is gone back to', () => {
  acts().begin({ x: 5, y: 5 });
  expect([all().length, bench.isReading]).toEqual([1, false]);
  acts().back();
  expect([all().length, bench.isReading, bench.current]).toEqual([0, true, null]);
});

test('the list is shown with the caret in the marking at hand, and the page with that one at hand', () => {
  put('a');
  put('b', { page: 2 });
  bench.current = 'a';
  acts().show('list');
  expect([bench.view, bench.isReading]).toEqual(['list', false]);
  bare.type('!');
  acts().show('page');
  expect([bench.view, bench.isReading, bench.current, bench.page]).toEqual(['page', true, 'a', 0]);
  expect(all().map(({ node }) => node.textContent)).toEqual(['a!', 'b']);
});

test('what a colleague marked is put down in their words, as one’s own', () => {
  const theirs = MarkingOnSchema.parse({ id: 'theirs', page: 4, at: { x: 1, y: 2 }, colour: 'leaf' });
  acts().takeOver({ ...theirs, words: 'nine\nreed buntings' });
  const [own] = all();
  expect(own!.marking).toMatchObject({ page: 4, at: { x: 1, y: 2 }, colour: 'leaf' });
  expect(own!.marking.id).not.toBe('theirs');
  expect(own!.node.childCount).toBe(2);
  expect([bench.page, bench.current]).toEqual([4, own!.marking.id]);
});

test('on a finished page nothing is changed, and everything can be looked at', () => {
  put('a');
  put('b');
  const before = bare.state().doc;
  [bench.open, bench.current, bench.cross] = [false, 'a', { x: 10, y: 20 }];
  for (const act of [
    () => acts().move(9, 9),
    () => acts().changeLook({ framed: true }),
    () => acts().again(),
    () => acts().drop(),
    () => acts().begin({ x: 1, y: 1 }, 'x'),
    () => acts().writeBeside('before'),
    () => acts().leadNowhere(),
    () => acts().undo(),
  ])
    act();
  expect(bare.state().doc.eq(before)).toBe(true);
  acts().step(1);
  expect(bench.current).toBe('b');
});
