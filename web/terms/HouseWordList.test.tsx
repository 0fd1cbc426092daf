import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { useQuery } from '@tanstack/react-query';
import { act, cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { HouseWordGiven } from '#contracts';
import { answering, refusal, type Sent } from '../../client/testing/answering';
import { houseWordsQuery, KEYS, queryClient } from '../api';
import { asking } from '../testing/settled';
import { HouseWordList, type KeptHouseWord } from './HouseWordList';

const word = (
  id: string,
  use: string,
  avoid: string[],
  more: Partial<KeptHouseWord> = {},
): KeptHouseWord => ({
  ...{ id, use, avoid, why: '', language: '', together: false, ...more },
});

/** The words as the server has them; whether it refuses to save. */
let server: { words: KeptHouseWord[]; refuses: boolean };
let sent: Sent[];
let restore: () => void;

function answerOf(to: string, body: unknown) {
  if (to === 'GET /api/house-words') return { json: { words: server.words, mayChange: true } };
  if (server.refuses) return refusal('gone', 'The server could not be reached.');
  const id = to.split('/').at(-1)!;
  if (to.startsWith('DELETE')) {
    server.words = server.words.filter((one) => one.id !== id);
    return { json: null };
  }
  const saved = {
    ...(body as HouseWordGiven),
    id: to.startsWith('POST') ? `new ${server.words.length}` : id,
  };
  server.words = [...server.words.filter((one) => one.id !== id), saved];
  return { json: saved };
}

function Page() {
  const { data, dataUpdatedAt } = useQuery({ ...houseWordsQuery, staleTime: Infinity });
  return data ? <HouseWordList {...data} readAt={dataUpdatedAt} counts={null} /> : null;
}

/** What a colleague does, and the page hears of it. */
const meanwhile = (words: KeptHouseWord[]) =>
  act(async () => {
    server.words = words;
    await queryClient.invalidateQueries({ queryKey: KEYS.houseWords });
    // The page is told in the turn after.
    await new Promise((go) => setTimeout(go));
  });

beforeEach(async () => {
  queryClient.clear();
  server = {
    words: [word('w1', 'owner', ['parent', 'mum']), word('w2', 'bitch', ['female'])],
    refuses: false,
  };
  ({ sent, restore } = answering(answerOf));
  render(<Page />, { wrapper: asking });
  await screen.findByText('owner');
});
afterEach(() => {
  cleanup();
  restore();
});

const form = (name: 'New term' | 'Change a term') => within(screen.getByRole('form', { name }));
const field = (of: ReturnType<typeof form>, name: RegExp) =>
  of.getByRole<HTMLInputElement>('textbox', { name });
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));

describe('a new word of the house', () => {
  test('is saved with those that it replaces, each once; the form is empty then, with the keys in it', async () => {
    const fresh = form('New term');
    await userEvent.type(field(fresh, /We say/), ' spayed ');
    await userEvent.type(field(fresh, /^Not/), 'fixed, done;, {Enter}');
    await screen.findByText('spayed');
    expect(sent.find(({ to }) => to.startsWith('POST'))?.body).toMatchObject({
      use: 'spayed',
      avoid: ['fixed', 'done'],
    });
    await waitFor(() => expect(field(fresh, /We say/).value).toBe(''));
    await userEvent.keyboard('kennel');
    expect(field(fresh, /We say/).value).toBe('kennel');
  });

  test('stays as far as it is written when a colleague settles another', async () => {
    await userEvent.type(field(form('New term'), /^Not/), 'fix');
    await meanwhile([...server.words, word('w3', 'dog', ['doggy'])]);
    expect(screen.getByText('doggy')).toBeTruthy();
    expect(field(form('New term'), /^Not/).value).toBe('fix');
  });

  test('stays when it is refused, and cannot be saved without a word that it replaces', async () => {
    const fresh = form('New term');
    await userEvent.type(field(fresh, /We say/), 'spayed{Enter}');
    expect(sent.filter(({ to }) => to.startsWith('POST'))).toEqual([]);
    server.refuses = true;
    await userEvent.type(field(fresh, /^Not/), 'fixed{Enter}');
    expect(await screen.findByText(/could not be reached/)).toBeTruthy();
    expect(field(fresh, /^Not/).value).toBe('fixed');
  });
});

describe('a word that is being changed', () => {
  test('takes along what a colleague changed of it, where it is not the same', async () => {
    await press('Change owner');
    await userEvent.type(field(form('Change a term'), /Reason/), 'Kinder');
    await meanwhile([word('w1', 'carer', ['parent', 'mum']), server.words[1]!]);
    expect(field(form('Change a term'), /We say/).value).toBe('carer');
    await userEvent.click(form('Change a term').getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(server.words.find(({ id }) => id === 'w1')).toMatchObject({ use: 'carer', why: 'Kinder' }),
    );
  });

  test('is asked about where both changed the same', async () => {
    await press('Change owner');
    await userEvent.type(field(form('Change a term'), /We say/), 's');
    await meanwhile([word('w1', 'carer', ['parent', 'mum']), server.words[1]!]);
    expect(field(form('Change a term'), /We say/).value).toBe('owners');
    await userEvent.type(field(form('Change a term'), /We say/), '{Enter}');
    expect(sent.filter(({ to }) => to.startsWith('PUT'))).toEqual([]);
    await press('Keep mine and save over it');
    await userEvent.type(field(form('Change a term'), /We say/), '{Enter}');
    await waitFor(() => expect(server.words.find(({ id }) => id === 'w1')?.use).toBe('owners'));
  });

  test('stays when a colleague removes it, and can be saved anew', async () => {
    await press('Change owner');
    await userEvent.type(field(form('Change a term'), /Reason/), 'Kinder');
    await meanwhile([server.words[1]!]);
    expect(screen.getByText(/A colleague removed this term/)).toBeTruthy();
    expect(field(form('Change a term'), /Reason/).value).toBe('Kinder');
    await userEvent.click(form('Change a term').getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(server.words.map(({ why }) => why)).toContain('Kinder'));
    expect(sent.at(-2)?.to).toBe('POST /api/house-words');
  });

  test('is removed, and back with Undo', async () => {
    await press('Remove owner');
    await screen.findByText(/“owner” is no longer house style/);
    expect(screen.queryByRole('button', { name: 'Change owner' })).toBeNull();
    await press('Undo');
    await screen.findByRole('button', { name: 'Change owner' });
    expect(server.words.at(-1)).toMatchObject({ use: 'owner', avoid: ['parent', 'mum'] });
  });
});
