import { afterEach, describe, expect, test } from '@jest/globals';
import { act, cleanup, renderHook } from '@testing-library/react';
import { mergedSettings } from '#core/difference';
import { useUnsaved } from './useUnsaved';

interface Settings {
  name: string;
  leadIn: string;
}
const start: Settings = { name: 'Ward', leadIn: ',' };
const used = (merge = mergedSettings<Settings>) =>
  renderHook(({ there, version }) => useUnsaved(there, version, merge), {
    initialProps: { there: start, version: 1 },
  });
afterEach(cleanup);

test('as long as nothing is changed it follows what stands there', () => {
  const { result, rerender } = used();
  rerender({ there: { ...start, name: 'Wards' }, version: 2 });
  expect(result.current).toMatchObject({
    value: { name: 'Wards' },
    changed: false,
    version: 2,
    overtaken: false,
  });
});

test('a change stays while others save, and is made one with theirs where they touch nothing in common', () => {
  const { result, rerender } = used();
  act(() => result.current.set({ ...start, leadIn: ';' }));
  rerender({ there: { ...start, name: 'Wards' }, version: 2 });
  expect(result.current).toMatchObject({
    value: { name: 'Wards', leadIn: ';' },
    changed: true,
    version: 2,
    overtaken: false,
  });
});

describe('both changed the same', () => {
  const overtaken = () => {
    const hook = used();
    act(() => hook.result.current.set({ ...start, name: 'Mine' }));
    hook.rerender({ there: { ...start, name: 'Theirs' }, version: 2 });
    expect(hook.result.current).toMatchObject({ overtaken: true, value: { name: 'Mine' }, version: 1 });
    return hook.result;
  };

  test('mine is kept as a change to theirs, or theirs is taken', () => {
    const mine = overtaken();
    act(() => mine.current.keepMine());
    expect(mine.current).toMatchObject({
      overtaken: false,
      changed: true,
      version: 2,
      value: { name: 'Mine' },
    });
    cleanup();
    const theirs = overtaken();
    act(() => theirs.current.takeTheirs());
    expect(theirs.current).toMatchObject({ overtaken: false, changed: false, value: { name: 'Theirs' } });
  });
});

test('what is typed while a save is under way stays a change to what was saved', () => {
  const { result, rerender } = used();
  act(() => result.current.set({ ...start, name: 'Saved' }));
  act(() => result.current.set({ ...start, name: 'Saved and more' }));
  act(() => result.current.saved({ ...start, name: 'Saved' }, 2));
  rerender({ there: { ...start, name: 'Saved' }, version: 2 });
  expect(result.current).toMatchObject({
    changed: true,
    overtaken: false,
    version: 2,
    value: { name: 'Saved and more' },
  });
});

test('the order in which a store gives settings back is no change', () => {
  const { result } = used();
  act(() => result.current.set({ leadIn: ',', name: 'Ward' }));
  expect(result.current.changed).toBe(false);
});
