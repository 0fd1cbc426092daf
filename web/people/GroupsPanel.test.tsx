import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { useQuery } from '@tanstack/react-query';
import { act, cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Group } from '#contracts';
import { answering, type Sent } from '../../client/testing/answering';
import { call } from '#client/api';
import { KEYS, queryClient } from '../api';
import { asking } from '../testing/settled';
import { GroupsPanel } from './GroupsPanel';

const MEMBERS = ['Imke', 'Odile', 'Desta', 'Ruan'].map((name) => ({
  ...{ id: name.toLowerCase(), name: `${name} T.`, role: 'member' as const, job: '', email: '', phone: '' },
  ...{ left: false },
}));

/** The groups as the server has them. */
let groups: Group[];
let sent: Sent[];
let restore: () => void;

function answerOf(to: string, body: unknown) {
  if (to === 'GET /api/team') return { json: { members: MEMBERS, groups } };
  const id = to.startsWith('POST') ? `g${groups.length + 1}` : to.split('/').at(-1)!;
  const others = groups.filter((one) => one.id !== id);
  if (to.startsWith('DELETE')) {
    groups = others;
    return { status: 204, json: null };
  }
  const saved = { ...(body as Omit<Group, 'id'>), id };
  groups = groups.some((one) => one.id === id)
    ? groups.map((one) => (one.id === id ? saved : one))
    : [...groups, saved];
  return { json: saved };
}

function Page({ isOwner }: { isOwner: boolean }) {
  const team = useQuery({ queryKey: KEYS.team, queryFn: () => call('team'), staleTime: Infinity });
  return team.data ? <GroupsPanel team={team.data} readAt={team.dataUpdatedAt} {...{ isOwner }} /> : null;
}
const show = async (isOwner = true) => {
  render(<Page {...{ isOwner }} />, { wrapper: asking });
  await screen.findByText('Nurses');
};

/** What another owner does, and the page hears of it. */
const meanwhile = (now: Group[]) =>
  act(async () => {
    groups = now;
    await queryClient.invalidateQueries({ queryKey: KEYS.team });
    await new Promise((go) => setTimeout(go));
  });

beforeEach(() => {
  queryClient.clear();
  groups = [{ id: 'g1', name: 'Nurses', members: ['odile', 'desta'] }];
  ({ sent, restore } = answering(answerOf));
});
afterEach(() => {
  cleanup();
  restore();
});

const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));
const tick = (name: string) => userEvent.click(screen.getByRole('checkbox', { name }));
const name = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Name of the group' });
const changes = () => sent.filter(({ to }) => !to.startsWith('GET'));

describe('the groups of a team', () => {
  test('one is changed by ticks; the keys are in it, and back at its line once it is saved', async () => {
    await show();
    await press('Change Nurses');
    expect(document.activeElement).toBe(name());
    await tick('Ruan T.');
    await tick('Desta T.');
    await press('Save the group');
    await screen.findByText('Odile T., Ruan T.');
    expect(changes()).toMatchObject([
      { to: 'PUT /api/groups/g1', body: { name: 'Nurses', members: ['odile', 'ruan'] } },
    ]);
    expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Change Nurses' }));
  });

  test('whom two owners put in and take out at once are all put in and taken out', async () => {
    await show();
    await press('Change Nurses');
    await tick('Ruan T.');
    await meanwhile([{ id: 'g1', name: 'Night nurses', members: ['desta', 'imke'] }]);
    expect(name().value).toBe('Night nurses');
    await press('Save the group');
    await waitFor(() =>
      expect(groups[0]).toEqual({ id: 'g1', name: 'Night nurses', members: ['desta', 'imke', 'ruan'] }),
    );
  });

  test('of two names it is asked which', async () => {
    await show();
    await press('Change Nurses');
    await userEvent.type(name(), ' A');
    await meanwhile([{ id: 'g1', name: 'Night nurses', members: ['odile'] }]);
    expect(name().value).toBe('Nurses A');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save the group' }).disabled).toBe(true);
    await press('Use the current version');
    expect(name().value).toBe('Night nurses');
    expect(changes()).toEqual([]);
  });

  test('the name of a new one stays as far as it is typed when another owner makes one', async () => {
    await show();
    const fresh = screen.getByRole<HTMLInputElement>('textbox', { name: 'A new group' });
    await userEvent.type(fresh, 'Vol');
    await meanwhile([...groups, { id: 'g2', name: 'Vets', members: [] }]);
    expect(screen.getByText('Vets')).toBeTruthy();
    expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'A new group' }).value).toBe('Vol');
  });

  test('a new one is opened, and the field for names is empty', async () => {
    await show();
    await userEvent.type(screen.getByRole('textbox', { name: 'A new group' }), 'Vets{Enter}');
    expect(await screen.findByRole('form', { name: 'The group Vets' })).toBeTruthy();
    expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'A new group' }).value).toBe('');
  });

  test('members who are no owners read them', async () => {
    await show(false);
    expect(within(screen.getByRole('region', { name: 'Groups' })).queryByRole('button')).toBeNull();
    expect(screen.queryByRole('textbox')).toBeNull();
  });
});
