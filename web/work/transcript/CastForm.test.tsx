import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { answering } from '../../../client/testing/answering';
import { DEFAULT_PREFERENCES } from '#core/glossary';
import { MOST_SPEAKERS, withSpeaker, type Speaker } from '#core/transcript';
import { queryClient } from '../../api';
import { CastForm } from './CastForm';
import type { TurnActs } from './turnActs';

const castOf = (...names: string[]) =>
  names.reduce<Speaker[]>((cast, name) => withSpeaker(cast, name, name), []);

/** The cast as the acts have left it, and what was merged into what. */
let cast: Speaker[];
let merged: [string, string][];
let closed: number;

/** The form over a cast that follows what is done: as in the text, where each act is a step of undo. */
function Page({ first, turns }: { first: Speaker[]; turns: ReadonlyMap<string, number> }) {
  const [now, setNow] = useState(first);
  const put = (next: Speaker[]) => {
    cast = next;
    setNow(next);
  };
  const acts = {
    add: (name: string) => put(withSpeaker(now, name, name)),
    change: (id: string, change: Partial<Speaker>) =>
      put(now.map((one) => (one.id === id ? { ...one, ...change } : one))),
    remove: (id: string) => put(now.filter((one) => one.id !== id)),
    merge: (from: string, into: string) => void merged.push([from, into]),
  } as unknown as TurnActs;
  return (
    <QueryClientProvider client={queryClient}>
      <CastForm cast={now} turns={turns} acts={acts} close={() => (closed += 1)} />
    </QueryClientProvider>
  );
}
function page(first: Speaker[], turns: Record<string, number> = {}): void {
  cast = first;
  render(<Page first={first} turns={new Map(Object.entries(turns))} />);
}
const line = (name: string) => screen.getByRole<HTMLInputElement>('textbox', { name });
async function write(name: string, text: string): Promise<void> {
  await userEvent.clear(line(name));
  await userEvent.type(line(name), text);
}

let restore: () => void;
beforeEach(() => {
  queryClient.clear();
  [merged, closed] = [[], 0];
  ({ restore } = answering((to) => ({
    json: to.endsWith('/preferences') ? DEFAULT_PREFERENCES : [],
  })));
});
afterEach(() => {
  cleanup();
  restore();
});

describe('who speaks', () => {
  test('is added by names and Enter, one after another, with initials and keys of their own', async () => {
    page([]);
    await userEvent.keyboard('Wilf Ambry{Enter}');
    await userEvent.keyboard('  Winna Ambry  {Enter}');
    await userEvent.keyboard('   {Enter}');
    expect(cast.map(({ name, initials, key }) => [name, initials, key])).toEqual([
      ['Wilf Ambry', 'WA', 'w'],
      ['Winna Ambry', 'WAm', 'a'],
    ]);
    expect(line('Add a speaker').value).toBe('   ');
  });

  test('is one change for each line that is left, or Enter: not one for each letter', async () => {
    page(castOf('Wilf Ambry'));
    const before = cast;
    await write('Role of Wilf Ambry', 'warden');
    expect(cast).toBe(before);
    await userEvent.tab();
    expect(cast[0]!.role).toBe('warden');
    await write('Key of Wilf Ambry', 'Q{Enter}');
    expect(cast[0]!.key).toBe('q');
  });

  test('keeps a name where it is left empty; initials may be', async () => {
    page(castOf('Wilf Ambry'));
    await userEvent.clear(line('Name of Wilf Ambry'));
    await userEvent.tab();
    expect(line('Name of Wilf Ambry').value).toBe('Wilf Ambry');
    await userEvent.clear(line('Initials of Wilf Ambry'));
    await userEvent.tab();
    expect(cast).toMatchObject([{ name: 'Wilf Ambry', initials: '' }]);
  });

  test('is removed where nothing was said, and merged where something was', async () => {
    page(castOf('Wilf Ambry', 'Nesta Ambry', 'Pim'), { 'Wilf Ambry': 2 });
    expect(screen.queryByRole('button', { name: 'Remove Wilf Ambry' })).toBeNull();
    const into = screen.getByRole('combobox', { name: 'Merge Wilf Ambry into' });
    expect([...into.children].map(({ textContent }) => textContent)).toEqual([
      'Merge into …',
      'Nesta Ambry',
      'Pim',
    ]);
    await userEvent.selectOptions(into, 'Pim');
    expect(merged).toEqual([['Wilf Ambry', 'Pim']]);
    await userEvent.click(screen.getByRole('button', { name: 'Remove Pim' }));
    expect(cast.map(({ name }) => name)).toEqual(['Wilf Ambry', 'Nesta Ambry']);
  });
});

test('two with one key are told, and the later is given one that is free', async () => {
  page(castOf('Wilf Ambry', 'Nesta Ambry'));
  await write('Key of Nesta Ambry', 'w{Enter}');
  expect(screen.getByText('Nesta Ambry and Wilf Ambry have the same key.')).toBeDefined();
  await userEvent.click(screen.getByRole('button', { name: 'Use “n” for Nesta Ambry' }));
  expect(cast.map(({ key }) => key)).toEqual(['w', 'n']);
  expect(screen.queryByText(/have the same/)).toBeNull();
});

test('a full cast says so and takes no more, until one is removed', async () => {
  page(castOf(...Array.from({ length: MOST_SPEAKERS }, (_, at) => `Speaker ${at}`)));
  expect(screen.getByRole('status').textContent).toContain(`${MOST_SPEAKERS} speakers are the most.`);
  await userEvent.type(line('Add a speaker'), 'Pim{Enter}');
  expect(cast).toHaveLength(MOST_SPEAKERS);
  await userEvent.click(screen.getByRole('button', { name: 'Remove Speaker 7' }));
  await userEvent.type(line('Add a speaker'), '{Enter}');
  expect(cast.at(-1)!.name).toBe('Pim');
});
