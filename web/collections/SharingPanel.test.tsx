import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { act, cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Collection, Sharing, Team } from '#contracts';
import { answering, refusal, type Sent } from '../../client/testing/answering';
import { KEYS, queryClient } from '../api';
import { ShellContext, type Shell } from '../shell';
import { asking } from '../testing/settled';
import { SharingPanel } from './SharingPanel';

const TEAM: Team = {
  members: [
    { id: 'imke', name: 'Imke Tarrow', job: '', left: false },
    { id: 'ruan', name: 'Ruan Pellow', job: '', left: false },
    { id: 'desta', name: 'Desta Wynne', job: '', left: false },
    { id: 'anouk', name: 'Anouk Fell', job: '', left: true },
  ],
  groups: [{ id: 'ward', name: 'Ward', members: ['imke', 'ruan'] }],
};
const IMKE = { to: { kind: 'member', id: 'imke' }, right: 'keep' } as const;

/** What the server has. */
let sharing: Sharing;
let sent: Sent[];
let restore: () => void;

beforeEach(() => {
  queryClient.clear();
  sharing = { version: 3, grants: [IMKE], passedDown: [] };
  ({ sent, restore } = answering((to, body, version) => {
    if (to === 'GET /api/team') return { json: TEAM };
    if (to.startsWith('PUT')) {
      if (version !== sharing.version) return refusal('moved-on', 'Someone else saved it meanwhile.');
      sharing = { ...sharing, ...(body as Pick<Sharing, 'grants'>), version: sharing.version + 1 };
    }
    return { json: sharing };
  }));
});
afterEach(() => {
  cleanup();
  restore();
});

const show = async (more: Partial<Collection> = {}) => {
  const collection = { id: 'birds', name: 'Birds', own: false, right: 'keep', ...more } as Collection;
  render(
    <ShellContext.Provider value={{ member: { id: 'imke' } } as unknown as Shell}>
      <SharingPanel collection={collection} />
    </ShellContext.Provider>,
    { wrapper: asking },
  );
  await waitFor(() => expect(screen.queryByText(/Loading/)).toBeNull());
};
/** What another keeper saves, and the page hears of it. */
const meanwhile = (grants: Sharing['grants']) =>
  act(async () => {
    sharing = { ...sharing, grants, version: sharing.version + 1 };
    await queryClient.invalidateQueries({ queryKey: KEYS.sharing });
    await new Promise((go) => setTimeout(go));
  });
const shareWith = async (name: string) => {
  const offered = screen.getByRole('combobox', { name: 'Share with' });
  await userEvent.selectOptions(offered, name);
};
const save = () => screen.getByRole('button', { name: 'Save sharing' });
const named = () =>
  screen.getAllByRole('button', { name: /from the list$/ }).map((one) => one.getAttribute('aria-label'));

describe('sharing of a collection', () => {
  test('a person is added, given a right, and it is saved as one', async () => {
    await show();
    expect(screen.queryByRole('button', { name: 'Save sharing' })).toBeNull();
    await shareWith('Ruan Pellow');
    await userEvent.selectOptions(
      screen.getByRole('combobox', { name: 'Ruan Pellow' }),
      'may propose changes',
    );
    await userEvent.click(save());
    await waitFor(() => expect(sharing.version).toBe(4));
    expect(sharing.grants).toEqual([IMKE, { to: { kind: 'member', id: 'ruan' }, right: 'contribute' }]);
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Save sharing' })).toBeNull());
  });

  test('who has left is offered no more', async () => {
    await show();
    expect(screen.queryByRole('option', { name: 'Anouk Fell' })).toBeNull();
    expect(screen.getByRole('option', { name: 'Ward (group)' })).toBeTruthy();
  });

  test('whom another keeper names meanwhile stays, beside whom one names oneself', async () => {
    await show();
    await shareWith('Ruan Pellow');
    const team = { to: { kind: 'team' }, right: 'read' } as const;
    await meanwhile([IMKE, team]);
    expect(named()).toEqual([
      'Remove The whole team from the list',
      'Remove Imke Tarrow from the list',
      'Remove Ruan Pellow from the list',
    ]);
    await userEvent.click(save());
    await waitFor(() => expect(sharing.grants).toHaveLength(3));
    expect(sent.filter(({ to }) => to.startsWith('PUT'))).toHaveLength(1);
  });

  test('refused before the page heard of the other keeper, it has theirs too, and is saved the next time', async () => {
    await show();
    await shareWith('Ruan Pellow');
    const desta = { to: { kind: 'member', id: 'desta' }, right: 'read' } as const;
    sharing = { ...sharing, grants: [IMKE, desta], version: 4 };
    await userEvent.click(save());
    await screen.findByText(/^Another keeper saved sharing just before you\./);
    await screen.findByRole('combobox', { name: 'Desta Wynne' });
    expect(screen.getByRole('combobox', { name: 'Ruan Pellow' })).toBeTruthy();
    await userEvent.click(save());
    await waitFor(() => expect(sharing.grants).toHaveLength(3));
  });

  test('of one whom both gave something else it is asked whose holds', async () => {
    await show();
    const desta = { to: { kind: 'member', id: 'desta' }, right: 'read' } as const;
    await meanwhile([IMKE, desta]);
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Desta Wynne' }), 'keeps it');
    await meanwhile([IMKE, { ...desta, right: 'none' }]);
    expect(save().matches(':disabled')).toBe(true);
    await userEvent.click(screen.getByRole('button', { name: 'Keep mine and save over it' }));
    await userEvent.click(save());
    await waitFor(() => expect(sharing.grants[0]).toEqual({ ...desta, right: 'keep' }));
  });

  test('who gives it out of their own hands is told before they save', async () => {
    await show();
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Imke Tarrow' }), 'may use it');
    expect(screen.getByText('You would no longer be a keeper.')).toBeTruthy();
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Imke Tarrow' }), 'keeps it');
    expect(screen.queryByText('You would no longer be a keeper.')).toBeNull();
  });

  test('others read it, with what comes from above; one’s own is nobody else’s', async () => {
    sharing = {
      ...sharing,
      passedDown: [{ to: { kind: 'group', id: 'ward' }, right: 'contribute', from: 'Animals' }],
    };
    await show({ right: 'read' });
    expect(screen.queryByRole('combobox')).toBeNull();
    expect(screen.getByText(/Imke Tarrow keeps it/)).toBeTruthy();
    expect(screen.getByText(/Ward \(group\) may propose changes, from “Animals”/)).toBeTruthy();
    cleanup();
    await show({ own: true });
    expect(screen.getByText(/nobody else sees it/)).toBeTruthy();
  });
});
