import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { DEFAULT_PREFERENCES, PreferencesSchema, type Preferences } from '#core/glossary';
import { withSpeaker, type Speaker } from '#core/transcript';
import { queryClient } from '../../api';
import { KeptCasts } from './KeptCasts';

const CAST = ['Wilf Ambry', 'Nesta Ambry'].reduce<Speaker[]>(
  (cast, name) => withSpeaker(cast, name, name),
  [],
);

/** What the server has of the member. */
let kept: Preferences;
let refuses: boolean;
const realFetch = globalThis.fetch;
beforeEach(() => {
  queryClient.clear();
  kept = DEFAULT_PREFERENCES;
  refuses = false;
  const answer = (status: number, json: unknown) =>
    Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(json) } as Response);
  globalThis.fetch = (_input, init) => {
    if (init?.method !== 'PUT') return answer(200, kept);
    if (refuses)
      return answer(409, {
        type: 'about:blank',
        title: 'Refused',
        status: 409,
        detail: 'Not now.',
        code: 'gone',
      });
    kept = PreferencesSchema.parse(JSON.parse(init.body as string));
    return answer(204, null);
  };
});
afterEach(() => {
  cleanup();
  globalThis.fetch = realFetch;
});

function page(cast: readonly Speaker[], take: (speakers: readonly Speaker[]) => void = () => undefined) {
  render(
    <QueryClientProvider client={queryClient}>
      <KeptCasts cast={cast} take={take} />
    </QueryClientProvider>,
  );
}
const names = () => (kept.casts ?? []).map(({ name, cast }) => `${name}: ${cast.length}`);

test('a cast is kept as a group by a name; of the same name it takes the place of the one before', async () => {
  page(CAST);
  const field = () => screen.getByRole('textbox', { name: 'Keep this cast as a group' });
  await userEvent.type(field(), '  Wardens {Enter}');
  await waitFor(() => expect(names()).toEqual(['Wardens: 2']));
  kept = { ...kept, casts: [...kept.casts!, { name: 'Ferry', cast: CAST.slice(1) }] };
  await userEvent.type(field(), 'wardens{Enter}');
  await waitFor(() => expect(names()).toEqual(['wardens: 2', 'Ferry: 1']));
  expect((field() as HTMLInputElement).value).toBe('');
});

test('a group that is kept is taken with one press in a cast of nobody, and can be removed', async () => {
  kept = { ...kept, casts: [{ name: 'Wardens', cast: CAST }] };
  const taken: string[][] = [];
  page([], (speakers) => taken.push(speakers.map(({ name }) => name)));
  await userEvent.click(await screen.findByRole('button', { name: 'Wardens' }));
  expect(taken).toEqual([['Wilf Ambry', 'Nesta Ambry']]);
  expect(screen.queryByRole('textbox')).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Remove the group Wardens' }));
  await waitFor(() => expect(names()).toEqual([]));
  expect(screen.queryByRole('button', { name: 'Wardens' })).toBeNull();
});

test('a group that was removed is back with Undo', async () => {
  kept = { ...kept, casts: [{ name: 'Wardens', cast: CAST }] };
  page([]);
  await userEvent.click(await screen.findByRole('button', { name: 'Remove the group Wardens' }));
  await screen.findByText('The group “Wardens” is removed.');
  await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(names()).toEqual(['Wardens: 2']));
  expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
});

test('its name stays where it cannot be saved', async () => {
  refuses = true;
  page(CAST);
  await userEvent.type(screen.getByRole('textbox'), 'Wardens{Enter}');
  await screen.findByText('Not now.');
  expect(screen.getByRole<HTMLInputElement>('textbox').value).toBe('Wardens');
  expect(names()).toEqual([]);
});
