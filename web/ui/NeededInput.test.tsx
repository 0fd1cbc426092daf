import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { NeededInput } from './NeededInput';

let told: string[];
function Page() {
  const [name, setName] = useState('HM');
  return (
    <NeededInput
      aria-label="Words"
      value={name}
      change={(now) => {
        told.push(now);
        setName(now);
      }}
    />
  );
}
beforeEach(() => {
  told = [];
  render(<Page />);
});
afterEach(cleanup);
const line = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Words' });

test('letters are taken out one by one, and others written: nothing of the old stays before them', async () => {
  await userEvent.type(line(), '{Backspace}{Backspace}');
  expect(line().value).toBe('');
  await userEvent.type(line(), 'Kontor');
  expect(line().value).toBe('Kontor');
  expect(told.at(-1)).toBe('Kontor');
  expect(told).not.toContain('');
});

test('left blank it has its words again', async () => {
  await userEvent.clear(line());
  await userEvent.type(line(), ' ');
  await userEvent.tab();
  expect(line().value).toBe('HM');
  expect(told).toEqual([]);
});
