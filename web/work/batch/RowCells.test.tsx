import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { act, cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import type { BatchRow } from '#contracts';
import { emptySetup, type Column } from '#core/batch';
import { RowCells } from './RowCells';

const column = (head: string, kind: Column['kind'] = 'text'): Column => ({
  ...{ id: head, head, kind, fills: null, monthFirst: false, decimalComma: false },
});
const SETUP = { ...emptySetup('2026-12-01'), columns: [column('Name'), column('Places', 'number')] };
const ROW: BatchRow = {
  ...{ id: 'r1', position: 4, version: 1, cells: ['Dana Fell', '3'], enquiry: null, file: null, entry: null },
  ...{ isHeld: false, checked: null, byHand: null, gone: null, goneAt: null, sending: null },
};

/** What was asked to be saved, and what answers it. */
let asked: { cells: string[]; answer: (isSaved: boolean) => Promise<void> }[];
let dropped: number;
beforeEach(() => {
  [asked, dropped] = [[], 0];
});
afterEach(cleanup);

/** The row as it is told by then: what is asked is seen at once, and taken back where it is refused. */
function Page() {
  const [cells, setCells] = useState(ROW.cells);
  const change = (now: string[]) =>
    new Promise<boolean>((resolve) => {
      const before = cells;
      setCells(now);
      const answer = (isSaved: boolean) =>
        act(async () => {
          if (!isSaved) setCells(before);
          resolve(isSaved);
          await Promise.resolve();
        });
      asked.push({ cells: now, answer });
    });
  return (
    <RowCells setup={SETUP} row={{ ...ROW, cells }} isOpen change={change} drop={() => (dropped += 1)} />
  );
}
const show = () => void render(<Page />);
const field = (name: string) => screen.getByRole<HTMLInputElement>('textbox', { name });

describe('the cells of a row', () => {
  test('one is saved by Enter or by leaving it, with the others as they are; once', async () => {
    show();
    await userEvent.type(field('Name'), 's{Enter}');
    await userEvent.tab();
    await asked[0]!.answer(true);
    expect(asked.map(({ cells }) => cells)).toEqual([['Dana Fells', '3']]);
    expect(field('Name').value).toBe('Dana Fells');
  });

  test('what was typed stays where it is refused, and is sent again by Enter', async () => {
    show();
    await userEvent.type(field('Name'), 's');
    await userEvent.tab();
    await asked[0]!.answer(false);
    expect(field('Name').value).toBe('Dana Fells');
    await userEvent.type(field('Name'), '{Enter}');
    await asked[1]!.answer(true);
    expect(asked[1]!.cells).toEqual(['Dana Fells', '3']);
    expect(field('Name').value).toBe('Dana Fells');
  });

  test('what is typed on while the first words are on their way stays', async () => {
    show();
    await userEvent.type(field('Name'), 's{Enter}');
    await userEvent.type(field('Name'), ', Ms');
    await asked[0]!.answer(true);
    expect(field('Name').value).toBe('Dana Fells, Ms');
    await userEvent.tab();
    expect(asked.at(-1)!.cells).toEqual(['Dana Fells, Ms', '3']);
  });

  test('Escape leaves it as it was', async () => {
    show();
    await userEvent.type(field('Name'), 'xyz{Escape}');
    await userEvent.tab();
    expect(field('Name').value).toBe('Dana Fell');
    expect(asked).toEqual([]);
  });

  test('what cannot be read is told at its cell', async () => {
    show();
    await userEvent.clear(field('Places'));
    await userEvent.type(field('Places'), 'three{Enter}');
    expect(field('Places').getAttribute('aria-invalid')).toBe('true');
  });

  test('a row is taken out only once it was asked', async () => {
    show();
    await userEvent.click(screen.getByRole('button', { name: 'Take this row out' }));
    expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Keep it' }));
    await userEvent.keyboard('{Enter}');
    expect(dropped).toBe(0);
    await userEvent.click(screen.getByRole('button', { name: 'Take this row out' }));
    await userEvent.click(screen.getByRole('button', { name: 'Take it out' }));
    expect(dropped).toBe(1);
  });
});
