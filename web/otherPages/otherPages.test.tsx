import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { PageCard, TeamSettings } from '#contracts';
import { answering, refusal, type Sent } from '../../client/testing/answering';
import { queryClient } from '../api';
import { ShellContext, type Shell } from '../shell';
import { asking } from '../testing/settled';
import { LeftAlone } from './LeftAlone';
import { PageCards } from './PageCards';

const card = (host: string): PageCard => ({ host, places: [{ path: 'name', at: '#name' }] });

/** What the team has set, as the server has it; whether it refuses to change that. */
let server: { settings: TeamSettings; refuses: boolean };
let sent: Sent[];
let restore: () => void;

beforeEach(() => {
  queryClient.clear();
  sessionStorage.clear();
  server = {
    settings: {
      ...{ wastebasketDays: 30, kinds: null, records: null, backups: null, casesOnComputers: null },
      ...{ leftAlone: ['chat.example'], pageCards: [card('board.example')] },
    },
    refuses: false,
  };
  ({ sent, restore } = answering((to, body) => {
    if (to.startsWith('PUT')) {
      if (server.refuses) return refusal('gone', 'The server could not be reached.');
      server.settings = { ...server.settings, ...(body as Partial<TeamSettings>) };
    }
    return { json: server.settings };
  }));
});
afterEach(() => {
  cleanup();
  restore();
});

const show = async (part: React.ReactNode, role: 'owner' | 'member' = 'owner') => {
  render(
    <ShellContext.Provider value={{ member: { id: 'imke', role } } as unknown as Shell}>
      {part}
    </ShellContext.Provider>,
    { wrapper: asking },
  );
  await screen.findByRole('list');
  await waitFor(() => expect(screen.getAllByRole('listitem').length).toBeGreaterThan(0));
};
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
const field = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'A page to leave alone' });
const saves = () => sent.filter(({ to }) => to.startsWith('PUT'));

describe('pages left alone', () => {
  test('one is added beside what another owner added since the page was read', async () => {
    await show(<LeftAlone />);
    server.settings = { ...server.settings, leftAlone: ['chat.example', 'pay.example'] };
    await userEvent.type(field(), 'mail.example{Enter}');
    await screen.findByText('mail.example');
    expect(server.settings.leftAlone).toEqual(['chat.example', 'mail.example', 'pay.example']);
    await waitFor(() => expect(field().value).toBe(''));
  });

  test('what was typed stays where it cannot be saved', async () => {
    await show(<LeftAlone />);
    server.refuses = true;
    await userEvent.type(field(), 'mail.example{Enter}');
    expect(await screen.findByText(/could not be reached/)).toBeTruthy();
    expect(field().value).toBe('mail.example');
  });

  test('what is no host, or is there already, is told, and nothing is sent', async () => {
    await show(<LeftAlone />);
    await userEvent.type(field(), 'my bank{Enter}');
    expect(screen.getByText(/Name a page by its host/)).toBeTruthy();
    await userEvent.clear(field());
    await userEvent.type(field(), 'chat.example{Enter}');
    expect(screen.getByText('That page is on the list already.')).toBeTruthy();
    expect(saves()).toEqual([]);
  });

  test('one that was removed is back with Undo', async () => {
    await show(<LeftAlone />);
    await press('Remove chat.example');
    await screen.findByText('chat.example is no longer left alone.');
    expect(server.settings.leftAlone).toEqual([]);
    await press('Undo');
    await screen.findByRole('button', { name: 'Remove chat.example' });
    expect(screen.queryByText(/no longer left alone/)).toBeNull();
  });

  test('members who are no owners read them', async () => {
    await show(<LeftAlone />, 'member');
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.queryByRole('textbox')).toBeNull();
  });
});

describe('page cards', () => {
  const taught = { host: 'ward.example', places: [{ path: 'name', at: '#who', says: 'Bramble' }] };
  beforeEach(() => sessionStorage.setItem('companion.taught', JSON.stringify(taught)));
  const hosts = () => server.settings.pageCards?.map(({ host }) => host);

  test('one that was shown on a page is saved beside those of others, without the words that stood there', async () => {
    await show(<PageCards />);
    server.settings = { ...server.settings, pageCards: [card('board.example'), card('desk.example')] };
    await press('Save this card');
    await waitFor(() => expect(hosts()).toEqual(['board.example', 'desk.example', 'ward.example']));
    expect(JSON.stringify(saves())).not.toContain('Bramble');
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Save this card' })).toBeNull());
    expect(sessionStorage.getItem('companion.taught')).toBeNull();
  });

  test('one that was shown stays where it cannot be saved', async () => {
    await show(<PageCards />);
    server.refuses = true;
    await press('Save this card');
    await screen.findByText(/could not be reached/);
    expect(screen.getByRole('region', { name: 'Shown on ward.example' })).toBeTruthy();
    expect(hosts()).toEqual(['board.example']);
  });

  test('another is removed, and back with Undo; what was shown and is not saved yet stays', async () => {
    await show(<PageCards />);
    await press('Remove the card of board.example');
    await screen.findByText('The card of board.example is removed.');
    expect(hosts()).toEqual([]);
    expect(screen.getByRole('region', { name: 'Shown on ward.example' })).toBeTruthy();
    await press('Undo');
    await waitFor(() => expect(server.settings.pageCards).toEqual([card('board.example')]));
  });

  test('to members they are told, and none is shown to be saved', async () => {
    await show(<PageCards />, 'member');
    expect(within(screen.getByRole('list', { name: 'Page cards' })).getByText('board.example')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
