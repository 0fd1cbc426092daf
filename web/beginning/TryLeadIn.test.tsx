import { afterEach, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { TryLeadIn } from './TryLeadIn';

function Tried() {
  const [leadIn, setLeadIn] = useState(',');
  return <TryLeadIn leadIn={leadIn} change={setLeadIn} />;
}
afterEach(cleanup);

const press = (key: string, more: object = {}) =>
  fireEvent.keyDown(screen.getByRole('textbox', { name: 'Try it on this keyboard' }), { key, ...more });
const told = () => screen.getByRole('status').textContent;

test('a key that gives the lead-in at once is good; another lead-in is tried anew', () => {
  render(<Tried />);
  expect(told()).toBe('Type it here, then two letters.');
  press(',');
  press('w');
  expect(told()).toBe('One key press: good on this keyboard.');
  fireEvent.change(screen.getByRole('combobox', { name: 'Cues begin with' }), { target: { value: "'" } });
  expect(told()).toBe('Type it here, then two letters.');
});

test('a key that waits for the next letter is told', () => {
  render(<Tried />);
  fireEvent.change(screen.getByRole('combobox', { name: 'Cues begin with' }), { target: { value: "'" } });
  press('Dead');
  expect(told()).toMatch(/waits for the next letter/);
});

test('a lead-in that needs AltGr is told', () => {
  render(<Tried />);
  press(',', { modifierAltGraph: true });
  expect(told()).toMatch(/needs AltGr/);
});
