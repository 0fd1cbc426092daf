import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import type { ChoiceField } from '#core/entry';
import { OptionsEditor } from './OptionsEditor';

const choice: ChoiceField = {
  id: 'to',
  name: 'To',
  question: 'Where does it go?',
  required: true,
  kind: 'choice',
  many: false,
  options: [
    { id: 'o1', label: 'the finder', words: null },
    { id: 'o2', label: 'the marsh', words: null },
  ],
} as ChoiceField;

let now: ChoiceField;
function Choice({ told }: { told: (field: ChoiceField) => void }) {
  const [field, setField] = useState(choice);
  return (
    <OptionsEditor
      field={field}
      change={(changed) => {
        setField(changed);
        told(changed);
      }}
    />
  );
}

const drawFrames = globalThis.requestAnimationFrame;
beforeEach(() => {
  // A busy computer draws late: whoever types does not wait for it.
  globalThis.requestAnimationFrame = () => 0;
  render(
    <Choice
      told={(field) => {
        now = field;
      }}
    />,
  );
});
afterEach(() => {
  globalThis.requestAnimationFrame = drawFrames;
  cleanup();
});

const option = (at: number) => screen.getByRole<HTMLInputElement>('textbox', { name: `Option ${at}` });

test('Enter adds an option below, and the next key goes there at once, before a frame is drawn', () => {
  option(1).focus();
  fireEvent.keyDown(option(1), { key: 'Enter' });
  expect(now.options.map(({ label }) => label)).toEqual(['the finder', '', 'the marsh']);
  expect(document.activeElement).toBe(option(2));
});

test('what has the keys later keeps them when the options are drawn again', () => {
  option(1).focus();
  fireEvent.keyDown(option(1), { key: 'Enter' });
  option(3).focus();
  fireEvent.change(option(3), { target: { value: 'the shore' } });
  expect(now.options.map(({ label }) => label)).toEqual(['the finder', '', 'the shore']);
  expect(document.activeElement).toBe(option(3));
});

test('lines pasted into an option become options, and the keys go to the last of them', () => {
  option(2).focus();
  fireEvent.paste(option(2), { clipboardData: { getData: () => 'the shore\nthe river = a river' } });
  expect(now.options.map(({ label }) => label)).toEqual([
    'the finder',
    'the marsh',
    'the shore',
    'the river',
  ]);
  expect(now.options.at(-1)!.words).toBe('a river');
  expect(document.activeElement).toBe(option(4));
});
