import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Assignment } from '#contracts';
import { answering, type Sent } from '../../../../client/testing/answering';
import { queryClient } from '../../../api';
import { ShellContext, type Shell } from '../../../shell';
import { AssignmentForm } from './AssignmentForm';

const assignment = (more: Partial<Assignment> = {}): Assignment => ({
  ...{ id: 'tide', version: 3, title: 'Tide tables', due: '2026-12-18', madeBy: 'ruan', given: ['ruan'] },
  ...{ limits: { least: null, most: 800 }, criteria: [], submissions: [] },
  people: [
    { name: 'Wilf Ambry', number: '7' },
    { name: 'Pim Sallow', number: '' },
  ],
  ...more,
});

let sent: Sent[];
let restore: () => void;
let saved: Assignment[];
beforeEach(() => {
  queryClient.clear();
  saved = [];
  ({ sent, restore } = answering((to, body, version) => {
    if (to === 'GET /api/team') return { json: { members: [], groups: [], invitations: [] } };
    if (to.startsWith('GET')) return { json: [] };
    return {
      status: version === null ? 201 : 200,
      json: { ...assignment(), ...(body as object), version: (version ?? 0) + 1 },
    };
  }));
});
afterEach(() => {
  cleanup();
  restore();
});

const page = (one: Assignment | null) => (
  <QueryClientProvider client={queryClient}>
    <ShellContext.Provider value={{ member: { id: 'ruan', name: 'Ruan Pellow' } } as Shell}>
      <AssignmentForm one={one} saved={(now) => saved.push(now)} close={() => undefined} />
    </ShellContext.Provider>
  </QueryClientProvider>
);
const line = (name: string | RegExp) => screen.getByRole<HTMLInputElement>('textbox', { name });
async function write(name: string | RegExp, text: string): Promise<void> {
  await userEvent.clear(line(name));
  await userEvent.type(line(name), text);
}
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));
const changes = () => sent.filter(({ body }) => body !== null);

test('a new one: people a line each with their numbers, limits where numbers are given', async () => {
  render(page(null));
  await userEvent.type(line('Title'), 'Rock pools');
  await write(/^People/, 'Wilf Ambry, 7{Enter}Pim Sallow{Enter}');
  await write('Words at most', '1,200');
  await press('Make it');
  await waitFor(() => expect(saved).toHaveLength(1));
  expect(changes()).toMatchObject([
    {
      version: null,
      body: { title: 'Rock pools', due: null, limits: { least: null, most: 1200 }, given: [] },
    },
  ]);
  const { people } = changes()[0]!.body as Assignment;
  expect(people.map(({ name }) => name)).toEqual(['Wilf Ambry', 'Pim Sallow']);
});

describe('while it is changed by two', () => {
  test('what a colleague saves of something else is made one with what is written here', async () => {
    const { rerender } = render(page(assignment()));
    await write('Title', 'Tides');
    rerender(page(assignment({ version: 4, limits: { least: 300, most: 900 } })));
    expect(line('Title').value).toBe('Tides');
    expect(line('Words at most').value).toBe('900');
    await press('Save');
    await waitFor(() => expect(saved).toHaveLength(1));
    expect(changes()).toMatchObject([
      { version: 4, body: { title: 'Tides', limits: { least: 300, most: 900 } } },
    ]);
  });

  test('what both changed is asked about, and nothing is saved over a colleague unasked', async () => {
    const { rerender } = render(page(assignment()));
    await write('Title', 'Tides');
    rerender(page(assignment({ version: 4, title: 'Tide tables of the bay' })));
    expect(screen.getByText('Someone else saved this meanwhile.')).toBeDefined();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save' }).disabled).toBe(true);
    await userEvent.type(line('Title'), '{Enter}');
    expect(changes()).toEqual([]);
    await press('Keep mine and save over it');
    await press('Save');
    await waitFor(() => expect(saved).toHaveLength(1));
    expect(changes()).toMatchObject([{ version: 4, body: { title: 'Tides' } }]);
  });

  test('theirs is taken instead, with one press', async () => {
    const { rerender } = render(page(assignment()));
    await write('Title', 'Tides');
    rerender(page(assignment({ version: 4, title: 'Tide tables of the bay' })));
    await press('Use the current version');
    expect(line('Title').value).toBe('Tide tables of the bay');
  });
});
