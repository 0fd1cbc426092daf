import { afterEach, expect, jest, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { newEntry } from '#core/entry';
import { plainPassage } from '#core/passage';
import type { Choice, Planned } from '#core/takeover';
import { ArrivalRow } from './ArrivalRow';
import type { RowEdit } from './useIntake';

afterEach(cleanup);

const content = (title: string, words: string) => ({
  ...newEntry(title, 'en-GB', plainPassage(words)),
  cues: [{ text: 'fees' }],
});
const edit = jest.fn<(change: RowEdit) => void>();

function Page({ state, canEdit }: { state: Planned['state']; canEdit: boolean }) {
  const [title, setTitle] = useState('Opening hours');
  const [choice, choose] = useState<Choice>('new');
  const theirs = content(title, 'Open from nine.');
  const planned = {
    content: theirs,
    state,
    choice,
    standing: { content: content('Hours', 'Open from ten.') },
  };
  return (
    <ArrivalRow
      planned={planned as unknown as Planned}
      leadIn=","
      oddities={['It names a person: Mari Voss.']}
      choose={choose}
      edit={
        canEdit
          ? (change) => {
              edit(change);
              if (change.title !== undefined) setTitle(change.title);
            }
          : null
      }
      words={() => 'Open from nine.'}
    />
  );
}
const show = (state: Planned['state'] = 'new', canEdit = true) => {
  edit.mockClear();
  render(<Page state={state} canEdit={canEdit} />);
};

test('its title and cue are changed where they are read; a title left blank is what it was', async () => {
  show();
  const title = screen.getByRole<HTMLInputElement>('textbox', { name: 'Title of Opening hours' });
  await userEvent.type(title, ' in winter{Tab}');
  expect(edit).toHaveBeenCalledWith({ title: 'Opening hours in winter' });
  await userEvent.clear(title);
  await userEvent.tab();
  expect(title.value).toBe('Opening hours in winter');
  expect(edit).toHaveBeenCalledTimes(1);
  const cue = screen.getByRole('textbox', { name: /^Cue of/ });
  await userEvent.clear(cue);
  await userEvent.type(cue, 'hrs{Tab}');
  expect(edit).toHaveBeenLastCalledWith({ cue: 'hrs' });
  expect(screen.getByText('It names a person: Mari Voss.')).toBeTruthy();
});

test('its words are changed in a box, and the keys go back to where it was opened', async () => {
  show();
  const open = () => screen.getByRole('button', { name: 'Edit the wording of Opening hours' });
  await userEvent.click(open());
  const box = screen.getByRole('textbox', { name: 'Wording of Opening hours' });
  expect(document.activeElement).toBe(box);
  await userEvent.type(box, ' Ring first.');
  await userEvent.click(screen.getByRole('button', { name: 'Save' }));
  expect(edit).toHaveBeenCalledWith({ words: 'Open from nine. Ring first.' });
  expect(document.activeElement).toBe(open());
  await userEvent.click(open());
  await userEvent.click(screen.getByRole('button', { name: 'Cancel' }));
  expect(edit).toHaveBeenCalledTimes(1);
  expect(document.activeElement).toBe(open());
});

test('one that comes as it is can be left out; one that differs from yours is chosen about', async () => {
  show('new', false);
  expect(screen.queryByRole('textbox')).toBeNull();
  const tick = screen.getByRole<HTMLInputElement>('checkbox', { name: 'Bring in Opening hours' });
  await userEvent.click(tick);
  expect(tick.checked).toBe(false);
  cleanup();
  show('differs', false);
  expect(screen.getByText('differs from yours')).toBeTruthy();
  const ways = screen.getAllByRole<HTMLInputElement>('radio');
  expect(ways.length).toBeGreaterThan(2);
  await userEvent.click(screen.getByRole('radio', { name: 'Keep both' }));
  expect(screen.getByRole<HTMLInputElement>('radio', { name: 'Keep both' }).checked).toBe(true);
});
