import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { useQuery } from '@tanstack/react-query';
import { act, cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { call } from '#client/api';
import type { TeamSettings } from '#contracts';
import { USUAL_RULES, type RecordRules } from '#core/record';
import { answering, type Sent } from '../../client/testing/answering';
import { KEYS, queryClient } from '../api';
import { asking } from '../testing/settled';
import { RulesForRecords } from './RecordRulesPage';

const care = (label: string): RecordRules['care'][number] => ({
  ...{ label, every: { count: 3, step: 'months' }, from: null, to: null, sex: '', species: '', problem: '' },
  ...{ doneBy: [], isImmunisation: false },
});
const RULES: RecordRules = { ...USUAL_RULES, care: [care('Worming')], usual: [] };

/** What the team has set, as the server has it. */
let settings: TeamSettings;
let sent: Sent[];
let restore: () => void;

function Page({ isOwner }: { isOwner: boolean }) {
  const read = useQuery({
    queryKey: KEYS.teamSettings,
    queryFn: () => call('teamSettings'),
    staleTime: Infinity,
  });
  if (!read.data?.records) return null;
  return <RulesForRecords rules={read.data.records} readAt={read.dataUpdatedAt} isOwner={isOwner} />;
}
const show = async (isOwner = true) => {
  render(<Page isOwner={isOwner} />, { wrapper: asking });
  await screen.findByRole('region', { name: 'Care due' });
};

/** What another owner saves, and the page hears of it. */
const meanwhile = (records: RecordRules) =>
  act(async () => {
    settings = { ...settings, records };
    await queryClient.invalidateQueries({ queryKey: KEYS.teamSettings });
    await new Promise((go) => setTimeout(go));
  });

beforeEach(() => {
  queryClient.clear();
  settings = {
    ...{ wastebasketDays: 30, kinds: null, records: RULES, backups: null, leftAlone: null },
    ...{ pageCards: null, casesOnComputers: null },
  };
  ({ sent, restore } = answering((to, body) => {
    if (to.startsWith('PUT')) settings = { ...settings, ...(body as Partial<TeamSettings>) };
    return { json: settings };
  }));
});
afterEach(() => {
  cleanup();
  restore();
});

const careDue = () => within(screen.getByRole('region', { name: 'Care due' }));
const due = () =>
  careDue()
    .getAllByRole<HTMLInputElement>('textbox', { name: 'What is due' })
    .map(({ value }) => value);
const old = () =>
  screen.getAllByRole<HTMLInputElement>('textbox', { name: 'Values are old after, in days' })[0]!;
const save = () => screen.getByRole<HTMLButtonElement>('button', { name: /^Save/ });
const saves = () => sent.filter(({ to }) => to.startsWith('PUT'));

describe('rules for records', () => {
  test('a rule is added, its field has the keys, and it is saved', async () => {
    await show();
    await userEvent.click(careDue().getByRole('button', { name: 'Add a rule' }));
    await userEvent.keyboard('Dental check');
    const again = careDue().getAllByRole('textbox', { name: 'Again after' })[1]!;
    await userEvent.clear(again);
    await userEvent.type(again, '2 y');
    await userEvent.click(save());
    await screen.findByText('Saved: they hold for all cases now.');
    expect(settings.records?.care.map(({ label }) => label)).toEqual(['Worming', 'Dental check']);
    expect(saves()).toHaveLength(1);
    // Written as a person would, it is read as it is saved: nothing is left to ask about.
    expect(screen.queryByText(/Someone else saved/)).toBeNull();
    expect(save().disabled).toBe(false);
  });

  test('what is wrong is marked and nothing is saved', async () => {
    await show();
    await userEvent.clear(careDue().getByRole('textbox', { name: 'Again after' }));
    await userEvent.type(careDue().getByRole('textbox', { name: 'Again after' }), 'often');
    await userEvent.click(save());
    expect(screen.getByText('Not saved: look at what is marked.')).toBeTruthy();
    expect(careDue().getByRole('textbox', { name: 'Again after' }).getAttribute('aria-invalid')).toBe('true');
    expect(saves()).toEqual([]);
  });

  test('what another owner saves meanwhile is followed, and saved along where it is another list', async () => {
    await show();
    await meanwhile({ ...RULES, care: [care('Weighing')] });
    expect(due()).toEqual(['Weighing']);
    await userEvent.clear(old());
    await userEvent.type(old(), '9');
    await meanwhile({ ...RULES, care: [care('Weighing'), care('Worming')] });
    expect(due()).toEqual(['Weighing', 'Worming']);
    await userEvent.click(save());
    await waitFor(() => expect(settings.records).toMatchObject({ oldAfterDays: 9 }));
    expect(settings.records?.care.map(({ label }) => label)).toEqual(['Weighing', 'Worming']);
  });

  test('two rules that are added at once both hold, and who types stays in the rule they type in', async () => {
    await show();
    await userEvent.click(careDue().getByRole('button', { name: 'Add a rule' }));
    await userEvent.keyboard('Dental');
    await meanwhile({ ...RULES, care: [care('Weighing'), care('Worming'), care('Chip')] });
    expect(due()).toEqual(['Weighing', 'Worming', 'Chip', 'Dental']);
    await userEvent.keyboard(' check');
    expect(due()).toEqual(['Weighing', 'Worming', 'Chip', 'Dental check']);
    const again = careDue().getAllByRole('textbox', { name: 'Again after' })[3]!;
    await userEvent.clear(again);
    await userEvent.type(again, '2 y');
    await userEvent.click(save());
    await screen.findByText('Saved: they hold for all cases now.');
    expect(settings.records?.care.map(({ label }) => label)).toEqual([
      ...['Weighing', 'Worming', 'Chip', 'Dental check'],
    ]);
  });

  test('of one rule changed by two it is asked whose holds: nothing is saved until then', async () => {
    await show();
    await userEvent.type(careDue().getByRole('textbox', { name: 'What is due' }), '!');
    await meanwhile({ ...RULES, care: [care('Deworming'), care('Weighing')] });
    expect(due()).toEqual(['Worming!']);
    expect(save().disabled).toBe(true);
    await userEvent.click(screen.getByRole('button', { name: 'Use the current version' }));
    expect(due()).toEqual(['Deworming', 'Weighing']);
    expect(saves()).toEqual([]);
  });

  test('members read them', async () => {
    await show(false);
    expect(screen.queryByRole('button', { name: /^Save/ })).toBeNull();
    expect(
      careDue().getByRole<HTMLInputElement>('textbox', { name: 'What is due' }).matches(':disabled'),
    ).toBe(true);
  });
});
