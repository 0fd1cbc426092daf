import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { FieldSchema, type Condition, type Field } from '#core/entry';
import { ConditionEditor } from './ConditionEditor';

const TODAY = '2026-11-16';
const FIELDS: Field[] = [
  { id: 'change', name: 'change of weight', kind: 'number' },
  {
    ...{ id: 'food', name: 'food', kind: 'choice', prompt: 'Which food?' },
    options: [
      { id: 'mash', label: 'mash' },
      { id: 'biscuit', label: 'biscuit' },
    ],
  },
  { id: 'seen', name: 'day seen', kind: 'date' },
  { id: 'remark', name: 'remark', kind: 'text' },
].map((field) => FieldSchema.parse(field));

/** The condition as the page has it. */
let condition: Condition;
let changes: number;

function Page({ first }: { first: Condition }) {
  const [now, setNow] = useState(first);
  return (
    <ConditionEditor
      condition={now}
      fields={FIELDS}
      today={TODAY}
      change={(changed) => {
        condition = changed;
        changes += 1;
        setNow(changed);
      }}
    />
  );
}
const page = (first: Condition) => {
  condition = first;
  render(<Page first={first} />);
};
const box = (name: string) => screen.getByRole('combobox', { name });
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));
const optionsOf = (name: string) =>
  within(box(name))
    .getAllByRole('option')
    .map(({ textContent }) => textContent);

beforeEach(() => {
  changes = 0;
});
afterEach(cleanup);

describe('one test', () => {
  test.each(['-50', '0.05', '-0.5', '120'])('a limit of %s is typed as any number is', async (limit) => {
    page({ test: 'under', field: 'change', value: 7 });
    const field = screen.getByRole('spinbutton', { name: 'Limit' });
    await userEvent.clear(field);
    await userEvent.type(field, limit);
    expect(condition).toEqual({ test: 'under', field: 'change', value: Number(limit) });
  });

  test('another field begins with a test that says something of what it holds', async () => {
    page({ test: 'under', field: 'change', value: -50 });
    await userEvent.selectOptions(box('Field'), 'food');
    expect(condition).toEqual({ test: 'is', field: 'food', value: 'mash' });
    await userEvent.selectOptions(box('Answer'), 'biscuit');
    expect(condition).toEqual({ test: 'is', field: 'food', value: 'biscuit' });
    await userEvent.selectOptions(box('Field'), 'day seen');
    expect(condition).toEqual({ test: 'over', field: 'seen', value: TODAY });
    await userEvent.selectOptions(box('Field'), 'remark');
    expect(condition).toEqual({ test: 'answered', field: 'remark' });
  });

  test('a value stays with another test where it still fits, and gives way where it does not', async () => {
    page({ test: 'under', field: 'change', value: -50 });
    await userEvent.selectOptions(box('Test'), 'over');
    expect(condition).toEqual({ test: 'over', field: 'change', value: -50 });
    await userEvent.selectOptions(box('Test'), 'unanswered');
    expect(condition).toEqual({ test: 'unanswered', field: 'change' });
    expect(screen.queryByRole('spinbutton')).toBeNull();
    await userEvent.selectOptions(box('Test'), 'over');
    expect(condition).toEqual({ test: 'over', field: 'change', value: 0 });
  });

  test('of words it is asked whether they are these, not whether they are over them', () => {
    page({ test: 'is', field: 'remark', value: 'limp' });
    expect(optionsOf('Test')).toEqual(['is', 'is not', 'is answered', 'is not answered']);
    expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Words' }).value).toBe('limp');
  });

  test('a field that was deleted is told as such, and another can be picked', async () => {
    page({ test: 'is', field: 'gone', value: 'x' });
    expect(box('Field')).toHaveProperty('value', 'gone');
    expect(optionsOf('Field')[0]).toBe('a deleted field');
    expect(screen.queryByRole('combobox', { name: 'Test' })).toBeNull();
    await userEvent.selectOptions(box('Field'), 'food');
    expect(condition).toEqual({ test: 'is', field: 'food', value: 'mash' });
  });
});

describe('several', () => {
  const one: Condition = { test: 'is', field: 'food', value: 'mash' };
  const fresh: Condition = { test: 'over', field: 'change', value: 0 };

  test('a second that must hold too; whether all or any; and one of them again', async () => {
    page(one);
    await press('and …');
    expect(condition).toEqual({ test: 'all', of: [one, fresh] });
    await userEvent.selectOptions(box('How many of them'), 'any');
    expect(condition).toEqual({ test: 'any', of: [one, fresh] });
    await userEvent.click(screen.getAllByRole('button', { name: 'Remove this test' })[1]!);
    expect(condition).toEqual(one);
  });

  test('one of several becomes several itself, four deep and no deeper', async () => {
    page(one);
    for (let depth = 1; depth <= 4; depth += 1) {
      const [first] = screen.getAllByRole('button', { name: 'or …' });
      await userEvent.click(first!);
    }
    const depthOf = (now: Condition): number => ('of' in now ? 1 + Math.max(...now.of.map(depthOf)) : 0);
    expect(depthOf(condition)).toBe(4);
    const deepest = screen.getAllByRole('group', { name: 'Several tests' }).at(-1)!;
    const rows = within(deepest).getAllByRole('combobox', { name: 'Field' });
    expect(rows).toHaveLength(2);
    // The one button in it adds to its own list: none makes a list within.
    expect(within(deepest).getAllByRole('button', { name: /(?:and|or) …/ })).toHaveLength(1);
  });

  test('removing what is within others leaves them as they are', async () => {
    const inner: Condition = { test: 'any', of: [one, { test: 'answered', field: 'remark' }] };
    page({ test: 'all', of: [fresh, inner] });
    await press('Remove these tests');
    expect(condition).toEqual(fresh);
    expect(changes).toBe(1);
  });
});
