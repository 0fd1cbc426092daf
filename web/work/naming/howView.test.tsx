import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import type { Case, Tray } from '#contracts';
import { newTraySetup, type TraySetup } from '#core/naming';
import { answering, refusal } from '../../../client/testing/answering';
import { KEYS, queryClient } from '../../api';
import { ShellContext, type Shell } from '../../shell';
import { asking, settled } from '../../testing/settled';
import { HowView } from './HowView';
import { useTray } from './useTray';

const BEGUN = newTraySetup();
const ONE = { id: 'post', title: 'Post', kind: 'naming' } as unknown as Case;

/** What the server has. */
let tray: Tray;
let restore: () => void;

beforeEach(() => {
  queryClient.clear();
  tray = { version: 2, setup: BEGUN, lines: [] };
  ({ restore } = answering((to, body, version) => {
    if (to === 'GET /api/bank') return { json: { collections: [], entries: [], away: [] } };
    if (to.startsWith('GET')) return { json: tray };
    if (version !== tray.version) return refusal('moved-on', 'Somebody else changed this tray meanwhile.');
    tray = { ...tray, setup: (body as { setup: TraySetup }).setup, version: tray.version + 1 };
    return { json: { version: tray.version } };
  }));
});
afterEach(() => {
  cleanup();
  restore();
});

function View() {
  const { data } = useTray('post');
  return data ? <HowView one={ONE} tray={data} /> : null;
}
const opened = async () => {
  render(
    <MemoryRouter>
      <ShellContext.Provider value={{ member: { id: 'imke' } } as unknown as Shell}>
        <View />
      </ShellContext.Provider>
    </MemoryRouter>,
    { wrapper: asking },
  );
  await screen.findByRole('textbox', { name: /^Path of the folder/ });
};
/** What a colleague saves; the page hears of it where `isHeard`. */
const meanwhile = (change: Partial<TraySetup>, isHeard: boolean) =>
  settled(() => {
    tray = { ...tray, setup: { ...tray.setup, ...change }, version: tray.version + 1 };
    if (isHeard) void queryClient.invalidateQueries({ queryKey: KEYS.tray('post') });
  });
const path = () => screen.getByRole('textbox', { name: /^Path of the folder/ });
const numbers = () => screen.getByRole('textbox', { name: /^Your own numbers/ });

test('a colleague’s path of the folder is followed, and not put back by who passes through the line', async () => {
  await opened();
  await meanwhile({ folder: '/post/2026' }, true);
  await waitFor(() => expect(path()).toHaveProperty('value', '/post/2026'));
  await userEvent.click(path());
  await userEvent.tab();
  await settled(() => undefined);
  expect([tray.setup.folder, tray.version]).toEqual(['/post/2026', 3]);
});

test('what is picked here stands beside what a colleague picked at the same moment', async () => {
  await opened();
  await meanwhile({ style: { ...BEGUN.style, capitals: 'lower' } }, false);
  await userEvent.click(screen.getByRole('radio', { name: 'become hyphens' }));
  await waitFor(() => expect(tray.setup.style).toMatchObject({ capitals: 'lower', spaces: 'hyphens' }));
});

test('numbers are shown as they are kept, once they are left', async () => {
  await opened();
  await userEvent.type(numbers(), 'HM-2026-0042 ,x,,  SP-7');
  await userEvent.tab();
  await waitFor(() => expect(tray.setup.numbers).toEqual(['HM-2026-0042', 'SP-7']));
  expect(numbers()).toHaveProperty('value', 'HM-2026-0042, SP-7');
});
