import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Assignment } from '#contracts';
import { ForPeople } from '#client/api';
import { answering, type Sent } from '../../../../client/testing/answering';
import { queryClient } from '../../../api';
import { asking } from '../../../testing/settled';

/** The cases that files were taken in for, in order; whether that fails, and what it waits for. */
let takenFor: string[];
let fails: boolean;
let wait: Promise<void>;

// What reads files is tried with real ones elsewhere; here it is who has which.
jest.unstable_mockModule('../takeIn', () => ({
  readSubmission: () => Promise.resolve({ version: 1, blocks: [], comments: [] }),
  takeInRead: async (of: string) => {
    await wait;
    if (fails) throw new ForPeople('The disk of the server is full. Nothing was changed.');
    takenFor.push(of);
  },
}));
jest.unstable_mockModule('../../../documents', () => ({ filesPacked: () => Promise.resolve(null) }));
const { TakeClass } = await import('./TakeClass');
const { useAssignment } = await import('./useAssignment');

/** What the server has. */
let there: Assignment;
let sent: Sent[];
let restore: () => void;

beforeEach(() => {
  queryClient.clear();
  [takenFor, fails, wait] = [[], false, Promise.resolve()];
  there = {
    ...{ id: 'owls', title: 'Owls at dusk', version: 1, madeBy: 'desta', given: ['desta'], due: null },
    ...{ limits: { least: null, most: null }, criteria: [], submissions: [] },
    people: ['Tomos Hale', 'Mari Voss', 'Ida Brook'].map((name) => ({ name, number: '' })),
  };
  ({ sent, restore } = answering((to, body) => {
    if (to === 'POST /api/assignments/owls/submissions') {
      const { case: of, person, title } = body as { case: string; person: string; title: string };
      // As the server does: each person has one.
      if (!there.submissions.some((one) => one.person === person))
        there = {
          ...there,
          submissions: [
            ...there.submissions,
            {
              case: of,
              person,
              title,
              words: 0,
              handedIn: '2026-12-01T10:00:00.000Z',
              state: 'none',
              comments: 0,
            },
          ],
        };
      return { status: 201, json: there };
    }
    return { json: to === 'GET /api/assignments/owls' ? there : [] };
  }));
});
afterEach(() => {
  cleanup();
  restore();
});

function Page() {
  const { data } = useAssignment('owls');
  return data ? <TakeClass one={data} /> : null;
}
const show = async () => {
  render(<Page />, { wrapper: asking });
  await screen.findByRole('button', { name: 'Choose files' });
};
const drop = async (...names: string[]) => {
  const files = names.map((name) => new File(['Owls.'], name, { type: 'text/plain' }));
  fireEvent.change(screen.getByLabelText('Submissions'), { target: { files } });
  const settled = () => takenFor.length + screen.queryAllByRole('combobox').length;
  await waitFor(() => expect(settled()).toBe(names.length));
  await screen.findByRole('button', { name: 'Choose files' });
};
const whose = () => screen.getAllByRole<HTMLSelectElement>('combobox', { name: 'Whose is it?' });
const assigns = () => sent.filter(({ to }) => to.startsWith('POST'));

test('each file goes to whose name is in it; of others it is asked', async () => {
  await show();
  await drop('Hale Tomos owls.docx', 'essay final.docx', 'Mari Voss.docx');
  expect(there.submissions.map(({ person }) => person)).toEqual(['Tomos Hale', 'Mari Voss']);
  expect(takenFor).toEqual(there.submissions.map(({ case: of }) => of));
  expect(screen.getByText('2 files taken in.')).toBeTruthy();
  expect(whose()).toHaveLength(1);
  expect(screen.getByText('No name of the class is in it.')).toBeTruthy();
});

test('one that is settled goes, and the keys are with the next, then where files are dropped; pressed twice it is taken once', async () => {
  await show();
  await drop('a.docx', 'b.docx');
  await userEvent.selectOptions(whose()[0]!, 'Ida Brook');
  let go = () => {};
  wait = new Promise((done) => (go = done));
  const take = screen.getAllByRole('button', { name: 'Take it in' })[0]!;
  await userEvent.click(take);
  await userEvent.click(take);
  await act(async () => {
    go();
    await wait;
  });
  await waitFor(() => expect(whose()).toHaveLength(1));
  await waitFor(() => expect(document.activeElement).toBe(whose()[0]));
  expect(takenFor).toHaveLength(1);
  expect(assigns()).toHaveLength(1);
  await userEvent.click(screen.getByRole('button', { name: 'Leave it' }));
  expect(screen.queryByRole('combobox')).toBeNull();
  expect(document.activeElement?.textContent).toBe('Choose files');
});

test('refused it is asked about still; taken again it goes to the case that was made', async () => {
  await show();
  await drop('a.docx');
  await userEvent.selectOptions(whose()[0]!, 'Ida Brook');
  fails = true;
  await userEvent.click(screen.getByRole('button', { name: 'Take it in' }));
  await screen.findByText('The disk of the server is full. Nothing was changed.');
  fails = false;
  await userEvent.click(screen.getByRole('button', { name: 'Take it in' }));
  await waitFor(() => expect(screen.queryByRole('combobox')).toBeNull());
  expect(there.submissions).toHaveLength(1);
  expect(takenFor).toEqual([there.submissions[0]!.case]);
});

test('whom a colleague has taken in meanwhile gets a new version of the same submission', async () => {
  await show();
  await drop('a.docx');
  const theirs = { case: 'theirs', person: 'Ida Brook', title: 'Owls', words: 3, comments: 0 };
  there = { ...there, submissions: [{ ...theirs, handedIn: '2026-12-01T10:00:00.000Z', state: 'none' }] };
  await userEvent.selectOptions(whose()[0]!, 'Ida Brook');
  await userEvent.click(screen.getByRole('button', { name: 'Take it in' }));
  await waitFor(() => expect(takenFor).toEqual(['theirs']));
});
