import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import type { Assignment, ClassCounts } from '#contracts';
import { answering, type Sent } from '../../../../client/testing/answering';
import { KEYS, queryClient } from '../../../api';
import { ShellContext, type Shell } from '../../../shell';
import { asking } from '../../../testing/settled';
import { ClassCountsView } from './ClassCountsView';

const ONE = { id: 'essay', title: 'Waders' } as Assignment;
const units = { entry: 'units', title: 'Units are missing', count: 2 };
const work = (assignment: string, ...slips: ClassCounts['term'][number]['slips']) => ({
  ...{ assignment, title: assignment, madeAt: '2026-11-02T08:00:00.000Z', slips },
});
const COUNTS: ClassCounts = {
  people: [
    {
      ...{ case: 'p', person: 'Petra', points: 7 },
      criteria: [{ criterion: 'Sources', praise: 2, faults: 1, level: 'Secure' }],
    },
  ],
  mostPoints: 10,
  term: [
    work('Essay 1', { ...units, person: 'Petra' }),
    work('Essay 2', { ...units, person: 'Petra' }),
    work('Essay 3', { ...units, person: 'Petra' }, { ...units, person: 'Jory', count: 1 }),
  ],
  entriesPlaced: [],
  writtenOften: [{ words: 'Say how you counted.', people: ['Petra', 'Jory'] }],
};

let sent: Sent[];
let restore: () => void;

beforeEach(() => {
  queryClient.clear();
  queryClient.setQueryData(KEYS.bank, { collections: [], entries: [], away: [] });
  ({ sent, restore } = answering(() => ({ json: COUNTS })));
});
afterEach(() => {
  cleanup();
  restore();
});

const show = async () => {
  render(
    <MemoryRouter>
      <ShellContext.Provider value={{ member: { id: 'imke' } } as unknown as Shell}>
        <ClassCountsView one={ONE} nameOf={(person) => (person === 'Petra' ? 'Person 1' : 'Person 2')} />
      </ShellContext.Provider>
    </MemoryRouter>,
    { wrapper: asking },
  );
  await screen.findByRole('heading', { name: 'By criterion' });
};

test('what the comments come to is told by criterion, slip and person; with names hidden nobody is named', async () => {
  await show();
  const criteria = screen.getByRole('region', { name: 'By criterion' });
  expect(
    within(criteria).getByRole('row', { name: /^Person 1 Secure 2 praised, one fault 7$/ }),
  ).toBeTruthy();
  const slips = screen.getAllByRole('table', { name: 'Commonest slips' })[0]!;
  expect(within(slips).getByRole('row', { name: 'Units are missing 3 2' })).toBeTruthy();
  const term = screen.getByRole('region', { name: /Over the term/ });
  expect(within(term).getByRole('row', { name: 'Person 1 2 2 2' })).toBeTruthy();
  expect(within(term).getByRole('row', { name: 'Person 2 – – 1' })).toBeTruthy();
  expect(term.textContent).toContain('Person 1: “Units are missing” in 3 pieces of work');
  expect(document.body.textContent).not.toMatch(/Petra|Jory/);
});

test('a leaf to the class of entries that are gone is not made, and it is said why', async () => {
  await show();
  await userEvent.click(screen.getByRole('button', { name: 'Make a leaf to the class of these' }));
  await screen.findByText(/^The entries of these slips are not in your bank any more\. No leaf was made\./);
  expect(sent.filter(({ to }) => to.startsWith('POST'))).toEqual([]);
});
