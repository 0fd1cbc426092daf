import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { ActingSelect } from './ActingSelect';

let acted: string[];
beforeEach(() => {
  acted = [];
  render(
    <ActingSelect label="Move to" value="a" act={(value) => acted.push(value)}>
      <option value="a">Ward</option>
      <option value="b">School</option>
      <option value="c">Archive</option>
    </ActingSelect>,
  );
});
afterEach(cleanup);

const box = () => screen.getByRole<HTMLSelectElement>('combobox', { name: 'Move to' });
/** An arrow key, and what the browser makes of it. */
function arrowTo(value: string): void {
  fireEvent.keyDown(box(), { key: 'ArrowDown' });
  fireEvent.change(box(), { target: { value } });
}

test('arrows only look: nothing is done until Enter, and then the last that was looked at, once', () => {
  arrowTo('b');
  arrowTo('c');
  expect(acted).toEqual([]);
  expect(screen.getByText(/Enter applies it/)).toBeDefined();
  fireEvent.keyDown(box(), { key: 'Enter' });
  fireEvent.blur(box());
  expect(acted).toEqual(['c']);
});

test('leaving does it too; Escape leaves all as it was', () => {
  arrowTo('b');
  fireEvent.keyDown(box(), { key: 'Escape' });
  expect(box().value).toBe('a');
  fireEvent.blur(box());
  expect(acted).toEqual([]);
  arrowTo('b');
  fireEvent.blur(box());
  expect(acted).toEqual(['b']);
});

test('arrows that come back to what stands do nothing', () => {
  arrowTo('b');
  arrowTo('a');
  fireEvent.keyDown(box(), { key: 'Enter' });
  expect(acted).toEqual([]);
});

test('picked by the mouse it is done at once, after keys too', () => {
  arrowTo('b');
  fireEvent.keyDown(box(), { key: 'Escape' });
  fireEvent.pointerDown(box());
  fireEvent.change(box(), { target: { value: 'c' } });
  expect(acted).toEqual(['c']);
});
