import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { DEFAULT_PREFERENCES, MOST_REACH_SETS, type Preferences, type ReachSet } from '#core/glossary';
import { ReachSets } from './ReachSets';

const NIGHT: ReachSet = { name: 'Night', lists: ['ward', 'doses'] };

/** Whether changes are saved; refused, they are taken back. */
let refuses: boolean;
beforeEach(() => {
  refuses = false;
});
afterEach(cleanup);

function Page({ sets: begun }: { sets: ReachSet[] }) {
  const [preferences, setPreferences] = useState<Preferences>({ ...DEFAULT_PREFERENCES, reachSets: begun });
  return (
    <ReachSets
      sets={preferences.reachSets ?? []}
      inReach={['ward', 'letters']}
      change={(now, done) => {
        if (refuses) return;
        setPreferences(now);
        done?.();
      }}
    />
  );
}
const show = (sets: ReachSet[]) => void render(<Page sets={sets} />);
const names = () =>
  screen.queryAllByRole('listitem', { hidden: true }).map((line) => line.querySelector('span')?.textContent);
const field = () => screen.getByRole<HTMLInputElement>('textbox', { hidden: true });
const press = (name: string) => userEvent.click(screen.getByRole('button', { name, hidden: true }));

describe('sets of collections and glossaries', () => {
  test('what is in reach is kept under a name; the field is empty then', async () => {
    show([NIGHT]);
    await userEvent.type(field(), ' Day {Enter}');
    expect(names()).toContain('Day');
    expect(field().value).toBe('');
  });

  test('its name stays where it cannot be saved', async () => {
    show([]);
    refuses = true;
    await userEvent.type(field(), 'Day{Enter}');
    expect(field().value).toBe('Day');
    expect(names()).toEqual([]);
  });

  test('one that was removed is back with Undo', async () => {
    show([NIGHT]);
    await press('Remove the set Night');
    expect(names()).toEqual([]);
    await press('Undo');
    expect(names()).toEqual(['Night']);
    expect(screen.queryByText(/is removed/)).toBeNull();
  });

  test('of the most there can be one has to go first', () => {
    show(Array.from({ length: MOST_REACH_SETS }, (_, at) => ({ name: `Set ${at}`, lists: [] })));
    expect(screen.queryByRole('textbox', { hidden: true })).toBeNull();
    expect(screen.getByText(/which is the most/)).toBeTruthy();
  });
});
