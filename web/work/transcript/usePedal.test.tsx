import { expect, test } from '@jest/globals';
import { act, renderHook } from '@testing-library/react';
import type { Player } from '#client/player';
import type { TurnActs } from './turnActs';
import { usePedal, withPress } from './usePedal';

const press = (key: string) =>
  act(() => {
    window.dispatchEvent(new KeyboardEvent('keydown', { key, cancelable: true }));
  });
const release = (key: string) =>
  act(() => {
    window.dispatchEvent(new KeyboardEvent('keyup', { key }));
  });

/** A player, and turns, that tell what was done with them. */
function leaf() {
  const done: string[] = [];
  let isPlaying = false;
  const player = {
    now: () => ({ isPlaying }),
    toggle: () => {
      isPlaying = !isPlaying;
      done.push(isPlaying ? 'plays' : 'pauses');
    },
    step: (by: number) => done.push(`steps ${by}`),
    faster: (by: number) => done.push(`faster ${by}`),
  } as unknown as Player;
  const acts = { next: () => done.push('next'), putTime: () => done.push('time') } as unknown as TurnActs;
  return { done, player, acts };
}

test('a pedal is taught by pressing it, plays while it is held, and is remembered', () => {
  localStorage.clear();
  const { done, player, acts } = leaf();
  const first = renderHook(() => usePedal(player, acts));
  press('F13');
  expect(done).toEqual([]);
  act(() => first.result.current.teach('hold'));
  press('F13');
  release('F13');
  expect(first.result.current.teaching).toBeNull();
  expect(first.result.current.taught.hold?.label).toBe('F13');
  expect(done).toEqual([]);
  press('F13');
  release('F13');
  expect(done).toEqual(['plays', 'pauses']);
  first.unmount();
  press('F13');
  expect(done).toHaveLength(2);

  const again = renderHook(() => usePedal(player, acts));
  act(() => again.result.current.teach('back'));
  press('F14');
  press('F14');
  expect(done.at(-1)).toBe('steps -3');
  act(() => again.result.current.forget('back'));
  release('F14');
  press('F14');
  expect(done.filter((one) => one === 'steps -3')).toHaveLength(1);
  again.unmount();
});

test('a press does one thing: taught another, it does no more what it did', () => {
  const f13 = { id: 'F13', label: 'F13' };
  const f14 = { id: 'F14', label: 'F14' };
  const taught = withPress(withPress({}, 'back', f13), 'on', f14);
  expect(withPress(taught, 'next', f13)).toEqual({ on: f14, next: f13 });
  expect(withPress(taught, 'on', null)).toEqual({ back: f13 });
});
