import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, render } from '@testing-library/react';
import { useLayoutEffect } from 'react';
import { useKeyListener, useLiveKeys } from './keys';

afterEach(cleanup);

function Screen({ run }: { run: () => void }) {
  useKeyListener();
  useLiveKeys([{ key: 'F9', does: 'Finish', run }]);
  return <input aria-label="Title" />;
}

describe('a live key', () => {
  const pressed = (press: Parameters<typeof fireEvent.keyDown>[1]) => {
    const run = jest.fn();
    const { getByLabelText } = render(<Screen run={run} />);
    fireEvent.keyDown(getByLabelText('Title'), press);
    return run.mock.calls.length;
  };

  test.each([
    ['by its own key', { key: 'F9', code: 'F9' }, 1],
    ['by its second way, the place of the letter', { key: '≈', code: 'KeyX', altKey: true }, 1],
    ['not with Shift besides', { key: 'X', code: 'KeyX', altKey: true, shiftKey: true }, 0],
    [
      'not with AltGr, which writes a character',
      { key: 'x', code: 'KeyX', altKey: true, modifierAltGraph: true },
      0,
    ],
    ['not by another key', { key: '.', code: 'Period', altKey: true }, 0],
    ['not by the letter alone', { key: 'x', code: 'KeyX' }, 0],
    ['not with Ctrl', { key: 'F9', code: 'F9', ctrlKey: true }, 0],
  ])('%s', (_, press, times) => expect(pressed(press)).toBe(times));
});

test('keys are live as soon as their screen is in the page, before effects that wait', () => {
  const run = jest.fn();
  const Listening = () => {
    useKeyListener();
    return null;
  };
  const Arrived = () => {
    useLiveKeys([{ key: 'F9', does: 'Finish', run }]);
    useLayoutEffect(() => void fireEvent.keyDown(document.body, { key: 'F9', code: 'F9' }), []);
    return null;
  };
  const screens = (arrived: boolean) => (
    <>
      <Listening />
      {arrived && <Arrived />}
    </>
  );
  const { rerender } = render(screens(false));
  rerender(screens(true));
  expect(run).toHaveBeenCalledTimes(1);
});

test.each([
  ['a full stop', 'Period', 'Alt + .'],
  ['a comma', 'Comma', 'Alt + ,'],
])('%s with Alt goes by its place, whatever it writes there', (_what, code, name) => {
  const run = jest.fn();
  const Marked = () => {
    useKeyListener();
    useLiveKeys([{ key: name, does: 'Go on', run }]);
    return <input aria-label="Title" />;
  };
  const { getByLabelText } = render(<Marked />);
  fireEvent.keyDown(getByLabelText('Title'), { key: '≥', code, altKey: true });
  fireEvent.keyDown(getByLabelText('Title'), { key: '.', code });
  expect(run).toHaveBeenCalledTimes(1);
});
