import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Glossary } from '#contracts';
import { newTerm, type Term } from '#core/glossary';
import { answering, refusal, type Sent } from '../../client/testing/answering';
import { asking } from '../testing/settled';
import { TermsTable } from './TermsTable';

const GLOSSARY: Glossary = {
  ...{ id: 'breeds', name: 'Breeds', language: 'en-GB', kindsOfWork: [], shipped: null },
  ...{ right: 'keep', version: 3, count: 3, priority: 5, careful: false, letters: [] },
};
const term = (text: string, more: Partial<Term> = {}): Term => ({ ...newTerm(text), ...more });
const THREE = [term('Whippet', { cue: 'whip' }), term('Lurcher'), term('Borzoi')];

let sent: Sent[];
let restore: () => void;
let refuses: boolean;
beforeEach(() => {
  refuses = false;
  ({ sent, restore } = answering(() =>
    refuses ? refusal('cue-taken', 'This cue is taken by “Lurcher”.') : { json: { ...GLOSSARY, version: 4 } },
  ));
});
afterEach(() => {
  cleanup();
  restore();
});

const show = (terms: readonly Term[], glossary = GLOSSARY) => {
  const table = (of: readonly Term[]) => <TermsTable glossary={glossary} terms={of} />;
  const { rerender } = render(table(terms), { wrapper: asking });
  return (now: readonly Term[]) => rerender(table(now));
};
/** As they come when the list is read again: other objects. */
const readAgain = (terms: readonly Term[]) => terms.map((one) => ({ ...one }));
const field = (name: string) => screen.getByRole<HTMLInputElement>('textbox', { name });
const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
const listed = () => screen.getAllByRole('listitem').map((line) => line.textContent);

describe('the terms of a glossary', () => {
  test('are in the order of the alphabet, and found by letters or by a whole cue', async () => {
    show(THREE);
    expect(listed()).toEqual(['Borzoi', 'Lurcher', 'Whippetwhip']);
    await userEvent.type(screen.getByRole('searchbox'), 'URCH');
    expect(listed()).toEqual(['Lurcher']);
    await userEvent.clear(screen.getByRole('searchbox'));
    await userEvent.type(screen.getByRole('searchbox'), 'whip');
    expect(listed()).toEqual(['Whippetwhip']);
    await userEvent.type(screen.getByRole('searchbox'), 'x');
    expect(screen.getByText('No term has these letters.')).toBeTruthy();
  });

  test('one that is removed comes back with its cue, its rank and its warning', async () => {
    const whippet = term('Whippet', { cue: 'whip', weight: 7, note: 'Sure of it?' });
    const now = show([whippet, THREE[1]!]);
    await press('Remove Whippet');
    await screen.findByText('“Whippet” is removed.');
    now([THREE[1]!]);
    await press('Undo');
    await waitFor(() => expect(screen.queryByText('“Whippet” is removed.')).toBeNull());
    expect(sent.map(({ to }) => to)).toEqual([
      'DELETE /api/glossaries/breeds/terms/Whippet',
      'POST /api/glossaries/breeds/terms',
    ]);
    expect(sent[1]!.body).toEqual(whippet);
  });

  test('one is changed in its place, and saved with all that it has', async () => {
    show(THREE);
    await press('Whippet');
    await userEvent.type(field('Warn before placing'), 'Sure of it?');
    await press('Save');
    await waitFor(() => expect(screen.queryByRole('form', { name: 'Term' })).toBeNull());
    expect(sent).toMatchObject([
      {
        to: 'POST /api/glossaries/breeds/terms',
        body: { text: 'Whippet', cue: 'whip', note: 'Sure of it?' },
      },
    ]);
  });

  test('what is being written stays when a colleague adds a term, and when others are looked for', async () => {
    const now = show(THREE);
    await press('Whippet');
    await userEvent.type(field('Warn before placing'), 'Sure');
    now(readAgain([term('Afghan Hound'), ...THREE]));
    expect(field('Warn before placing').value).toBe('Sure');
    expect(
      within(screen.getByRole('form', { name: 'Term' }).parentElement!).queryByText('Lurcher'),
    ).toBeNull();
    await userEvent.type(screen.getByRole('searchbox'), 'bor');
    expect(field('Warn before placing').value).toBe('Sure');
    // The term itself is gone by now: what was written can still be saved.
    now(readAgain([term('Borzoi')]));
    expect(field('Warn before placing').value).toBe('Sure');
  });

  test('a new one begins with the letters that found nothing; refused, it stays with the reason', async () => {
    show(THREE);
    await userEvent.type(screen.getByRole('searchbox'), 'Saluki');
    await press('Add a term');
    expect(field('Term').value).toBe('Saluki');
    await userEvent.type(field('Cue'), 'lur');
    refuses = true;
    await press('Save');
    expect(await screen.findByText(/This cue is taken/)).toBeTruthy();
    expect(field('Cue').value).toBe('lur');
  });

  test('of a long list letters lead to them; chosen again they show all', async () => {
    const many = Array.from({ length: 70 }, (_, at) => term(`${at % 2 ? 'Alpha' : 'Beta'} ${at}`));
    show(many);
    await press('B');
    expect(listed()).toHaveLength(35);
    expect(listed().every((line) => line?.startsWith('Beta'))).toBe(true);
    await press('B');
    expect(listed()).toHaveLength(70);
  });

  test('who does not keep the list removes none, and what came with Elderleaf is changed by nobody', async () => {
    show(THREE, { ...GLOSSARY, right: 'contribute' });
    expect(screen.queryByRole('button', { name: /^Remove/ })).toBeNull();
    cleanup();
    show(THREE, { ...GLOSSARY, shipped: 'english' });
    expect(screen.queryByRole('button', { name: 'Add a term' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: /Whippet/ }));
    expect(screen.queryByRole('form', { name: 'Term' })).toBeNull();
  });
});
