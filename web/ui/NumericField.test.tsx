import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState, type ComponentProps } from 'react';
import { NumericField } from './NumericField';

type Bounds = Pick<ComponentProps<typeof NumericField>, 'least' | 'most' | 'isWhole'>;

/** What was told to the page, in order. */
let told: (number | null)[];
let submitted: (number | null)[];

/** A page that keeps whatever the field tells it, and shows it again. */
function Page({ first, isOptional, ...bounds }: Bounds & { first: number | null; isOptional: boolean }) {
  const [value, setValue] = useState(first);
  const change = (now: number | null) => {
    told.push(now);
    setValue(now);
  };
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        submitted.push(value);
      }}
    >
      {isOptional ? (
        <NumericField label="Amount" isOptional value={value} change={change} {...bounds} />
      ) : (
        <NumericField label="Amount" value={value!} change={change} {...bounds} />
      )}
    </form>
  );
}

const field = () => screen.getByRole<HTMLInputElement>('spinbutton', { name: 'Amount' });
function page(first: number | null, bounds: Bounds = {}, isOptional = first === null): void {
  [told, submitted] = [[], []];
  render(<Page {...{ first, isOptional }} {...bounds} />);
}
/** Types over what is there. */
async function write(text: string): Promise<void> {
  await userEvent.clear(field());
  await userEvent.type(field(), text);
}
afterEach(cleanup);

describe('what is typed is what is taken, key by key', () => {
  const TYPED = ['0.05', '-5', '1.5', '0', '-0.25', '120', '10.0'];

  test.each(TYPED)('%s over a number', async (text) => {
    page(7);
    await write(text);
    expect(field().value).toBe(text);
    expect(told.at(-1)).toBe(Number(text));
    await userEvent.tab();
    expect(Number(field().value)).toBe(Number(text));
  });

  test.each(TYPED)('%s where nothing was', async (text) => {
    page(null);
    await write(text);
    expect(field().value).toBe(text);
    expect(told.at(-1)).toBe(Number(text));
  });
});

describe('what is no number, or out of bounds', () => {
  test('a field that must hold a number has its own again when it is left empty', async () => {
    page(7);
    await userEvent.clear(field());
    expect(field().value).toBe('');
    await userEvent.tab();
    expect(field().value).toBe('7');
    expect(told).toEqual([]);
  });

  test('one that may be empty is', async () => {
    page(7, {}, true);
    await userEvent.clear(field());
    await userEvent.tab();
    expect(field().value).toBe('');
    expect(told.at(-1)).toBeNull();
  });

  test('what lies below the least on the way to a number is not told; the number is', async () => {
    page(37, { least: 20, most: 80, isWhole: true });
    await write('42');
    expect(told).toEqual([42]);
  });

  test.each([
    ['5', 20],
    ['300', 80],
  ])('%s becomes the nearest that may be, %d, on leaving', async (text, nearest) => {
    page(37, { least: 20, most: 80 });
    await write(text);
    await userEvent.tab();
    expect(field().value).toBe(String(nearest));
    expect(told.at(-1)).toBe(nearest);
  });

  test('a fraction is none where whole numbers are asked for: the nearest is taken on leaving', async () => {
    page(4, { isWhole: true, least: 1 });
    await write('2.6');
    await userEvent.tab();
    expect(told.at(-1)).toBe(3);
    expect(field().value).toBe('3');
  });
});

test('Enter takes what stands there before a form goes', async () => {
  page(37, { least: 20, most: 80 });
  await write('300{Enter}');
  expect(submitted).toEqual([80]);
});

test('what is changed from elsewhere is shown', async () => {
  const { rerender } = render(<NumericField label="Amount" value={3} change={() => undefined} />);
  await userEvent.type(field(), '4');
  await userEvent.tab();
  rerender(<NumericField label="Amount" value={9} change={() => undefined} />);
  expect(field().value).toBe('9');
});
