import { expect, test } from '@jest/globals';
import { hearPresses, pressOfKey } from '.';
import type { GamepadLike } from './presses';

type Held = Partial<Record<'ctrlKey' | 'altKey' | 'shiftKey' | 'metaKey', boolean>>;
const key = (name: string, code: string, held: Held = {}) => ({
  ...{ key: name, code, ctrlKey: false, altKey: false, shiftKey: false, metaKey: false },
  ...held,
});

test.each([
  ['F13', '', {}, 'F13'],
  ['5', 'Numpad5', {}, 'Keypad 5'],
  ['MediaPlayPause', 'MediaPlayPause', {}, 'MediaPlayPause'],
  ['a', 'KeyA', { ctrlKey: true, altKey: true }, 'Ctrl + Alt + A'],
  ['a', 'KeyA', {}, 'own'],
  ['A', 'KeyA', { shiftKey: true }, 'own'],
  ['Enter', 'NumpadEnter', {}, 'own'],
  ['ArrowLeft', 'ArrowLeft', { shiftKey: true }, 'own'],
  ['Alt', 'AltLeft', { altKey: true }, null],
])('%s (%s) with %j is %s', (name, code, held, expected) => {
  const press = pressOfKey(key(name, code, held));
  expect(press === null || press === 'own' ? press : press.label).toBe(expected);
});

/** A page with gamepads that a test presses. */
function page() {
  const target = new EventTarget();
  const pads: GamepadLike[] = [];
  let look: (() => void) | null = null;
  const log: string[] = [];
  const used = new Set(['F13', 'Ctrl+KeyB', 'Gamepad0:1']);
  const end = hearPresses(
    {
      target,
      gamepads: () => pads,
      eachFrame: (run) => {
        look = run;
        return () => {
          look = null;
        };
      },
    },
    (press, isDown) => {
      log.push(`${press.label} ${isDown ? 'down' : 'up'}`);
      return used.has(press.id);
    },
  );
  const send = (type: string, name: string, more: object = {}) => {
    const event = Object.assign(new Event(type, { cancelable: true }), key(name, ''), more);
    target.dispatchEvent(event);
    return event.defaultPrevented;
  };
  return { send, pads, log, end, target, look: () => look?.(), isLooking: () => look !== null };
}

test('a key that is held is heard once, and up again; what is used does nothing else', () => {
  const { send, log, end } = page();
  expect(send('keydown', 'F13')).toBe(true);
  expect(send('keydown', 'F13', { repeat: true })).toBe(true);
  send('keyup', 'F13');
  expect(send('keydown', 'F14')).toBe(false);
  send('keyup', 'F14');
  expect(send('keydown', 'x')).toBe(false);
  // The modifier went up first.
  expect(send('keydown', 'b', { code: 'KeyB', ctrlKey: true })).toBe(true);
  send('keyup', 'b', { code: 'KeyB' });
  expect(log).toEqual(['F13 down', 'F13 up', 'F14 down', 'Ctrl + B down', 'Ctrl + B up']);
  end();
  expect(send('keydown', 'F13')).toBe(false);
});

test('buttons of a gamepad are looked at once one is connected, and no longer than asked', () => {
  const { pads, log, end, target, look, isLooking } = page();
  expect(isLooking()).toBe(false);
  const buttons = [{ pressed: false }, { pressed: false }];
  pads.push({ index: 0, buttons });
  target.dispatchEvent(new Event('gamepadconnected'));
  buttons[1] = { pressed: true };
  look();
  look();
  buttons[1] = { pressed: false };
  look();
  expect(log).toEqual(['Gamepad 1, button 2 down', 'Gamepad 1, button 2 up']);
  buttons[0] = { pressed: true };
  look();
  // Unplugged while it is held.
  pads.pop();
  look();
  expect(log.slice(2)).toEqual(['Gamepad 1, button 1 down', 'Gamepad 1, button 1 up']);
  end();
  expect(isLooking()).toBe(false);
});
