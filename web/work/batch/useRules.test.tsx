import { afterEach, expect, test } from '@jest/globals';
import { act, cleanup, renderHook } from '@testing-library/react';
import type { BatchRow } from '#contracts';
import { emptySetup, type BatchSetup, type Rule } from '#core/batch';
import type { Condition } from '#core/entry';
import { useRules } from './useRules';

const is = (value: string): Condition => ({ test: 'is', field: 'decision', value });
const rule = (id: string, value: string, entry = `letter-${value}`): Rule => ({
  ...{ id, when: is(value), entry, wording: null },
});
const row = (id: string, decision: string, entry: string | null = null): BatchRow => ({
  ...{ id, position: Number(id), version: 1, cells: [decision], enquiry: null, file: null, entry },
  ...{ isHeld: false, checked: null, byHand: null, gone: null, goneAt: null, sending: null },
});
const ROWS = [row('0', 'yes'), row('1', 'yes'), row('2', 'no'), row('3', 'later', 'letter-no')];
const setupOf = (...rules: Rule[]): BatchSetup => ({
  ...emptySetup('en-GB'),
  columns: [{ id: 'decision', head: 'Decision', kind: 'text' }] as BatchSetup['columns'],
  rules,
});

/** The page of a batch: what is kept arrives at once, unless it is held up. */
class Page {
  kept: BatchSetup[] = [];
  private given = { setup: setupOf(), rows: ROWS, isKeeping: false };
  private readonly hook;

  constructor(...rules: Rule[]) {
    this.given.setup = setupOf(...rules);
    const keep = (setup: BatchSetup) => void this.kept.push(setup);
    this.hook = renderHook((now: typeof this.given) => useRules({ ...now, keep }), {
      initialProps: this.given,
    });
  }

  get now() {
    return this.hook.result.current;
  }

  get ids() {
    return this.now.rules.map(({ id, entry }) => [id, entry]);
  }

  put(...rules: Rule[]): void {
    act(() => this.now.put(rules));
  }

  /** What the server has by now is shown here. */
  comes(rules: readonly Rule[], isKeeping = false): void {
    this.given = { ...this.given, setup: setupOf(...rules), isKeeping };
    this.hook.rerender(this.given);
  }
}
afterEach(cleanup);

test('a rule without an entry is shown and not kept; with one it is', () => {
  const page = new Page(rule('r1', 'yes'));
  act(() => page.now.add([is('no')]));
  expect(page.ids).toEqual([
    ['r1', 'letter-yes'],
    ['r2', ''],
  ]);
  expect(page.kept.at(-1)!.rules.map(({ id }) => id)).toEqual(['r1']);
  page.put(rule('r1', 'yes'), rule('r2', 'no'));
  expect(page.kept.at(-1)!.rules.map(({ id }) => id)).toEqual(['r1', 'r2']);
});

test('each row is counted for the first rule that fits it, those decided by hand apart', () => {
  const page = new Page(rule('r1', 'yes'), rule('r2', 'yes'));
  expect(Object.fromEntries(page.now.counts)).toEqual({ r1: 2, none: 1, hand: 1 });
  act(() => page.now.add([is('no')]));
  // It fits, but nothing follows from it yet.
  expect(Object.fromEntries(page.now.counts)).toEqual({ r1: 2, r3: 1, none: 1, hand: 1 });
});

test('what a colleague changes is followed, and the next change here is one of theirs: nothing is put back', () => {
  const page = new Page(rule('r1', 'yes'));
  page.comes([rule('r1', 'yes', 'warmer-letter'), rule('r2', 'no')]);
  expect(page.ids).toEqual([
    ['r1', 'warmer-letter'],
    ['r2', 'letter-no'],
  ]);
  act(() => page.now.add([is('later')]));
  expect(page.kept.at(-1)!.rules.map(({ entry }) => entry)).toEqual(['warmer-letter', 'letter-no']);
});

test('a rule that was begun here stays, with an id of its own', () => {
  const page = new Page(rule('r1', 'yes'));
  act(() => page.now.add([is('later')]));
  page.comes([rule('r1', 'yes'), rule('r2', 'no')]);
  expect(page.ids).toEqual([
    ['r1', 'letter-yes'],
    ['r2', 'letter-no'],
    ['r3', ''],
  ]);
  expect(page.now.rules.at(-1)!.when).toEqual(is('later'));
});

test('one’s own change on its way is not taken back by what the server had before it', () => {
  const page = new Page(rule('r1', 'yes'));
  page.put(rule('r1', 'yes', 'warmer-letter'));
  // An answer that was on its way: still without it.
  page.comes([rule('r1', 'yes')], true);
  expect(page.ids).toEqual([['r1', 'warmer-letter']]);
  page.comes([rule('r1', 'yes', 'warmer-letter')]);
  expect(page.ids).toEqual([['r1', 'warmer-letter']]);
});

test('one that is refused is as the server has it', () => {
  const page = new Page(rule('r1', 'yes'));
  page.put(rule('r1', 'yes', 'warmer-letter'));
  page.comes([rule('r1', 'no')]);
  expect(page.ids).toEqual([['r1', 'letter-no']]);
});
