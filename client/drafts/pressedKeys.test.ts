import { beforeEach, expect, test } from '@jest/globals';
import { keptHere } from '../testing/keptHere';
import { PressedKeys } from './pressedKeys';

let computer: ReturnType<typeof keptHere>;
beforeEach(() => {
  computer = keptHere();
});

const hear = (pressed: PressedKeys, placement: string | null, ...keys: string[]) =>
  keys.forEach((key) => pressed.hear({ key }, placement));

test('each placement has its own keys; keys that type nothing, and those pressed elsewhere, are none of them', () => {
  const pressed = new PressedKeys('d');
  pressed.add('p', 4);
  hear(pressed, 'p', 'Shift', 'F', 'Tab', 'AltGraph');
  hear(pressed, 'q', 'x');
  hear(pressed, null, 'y', 'Control');
  expect([pressed.take('p'), pressed.take('q'), pressed.take('r')]).toEqual([6, 1, null]);
  expect(pressed.total).toBe(4);
});

test('savings are counted once, after a reload too, and keys that were kept are gone on with', () => {
  const pressed = new PressedKeys('d');
  pressed.add('p', 4);
  pressed.add('q', 2);
  expect(pressed.take('p')).toBe(4);
  pressed.keep();
  const again = new PressedKeys('d');
  hear(again, 'q', 'x');
  expect([again.take('p'), again.take('q')]).toEqual([null, 3]);
  // Those of another draft are apart.
  expect(new PressedKeys('e').take('q')).toBeNull();
});

test('without room, or with something else in its place, the page counts by itself', () => {
  computer.kept.set('elderleaf.keys.d', '{broken');
  const pressed = new PressedKeys('d');
  computer.isFull = true;
  pressed.add('p', 1);
  pressed.keep();
  expect(pressed.take('p')).toBe(1);
});
