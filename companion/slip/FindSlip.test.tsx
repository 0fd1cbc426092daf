import { beforeEach, expect, test } from '@jest/globals';
import { act, fireEvent, render } from '@testing-library/react';
import type { FoundEntry, ListedCollection } from '../messages';
import { FindSlip } from './FindSlip';

const entry = (id: string): FoundEntry => ({ id, title: id, cue: null, collection: 'ward', words: `${id}.` });
const LIST: ListedCollection[] = [
  { id: 'ward', name: 'Ward', parent: null, entries: [entry('handling'), entry('regards')] },
  { id: 'wing', name: 'Wing', parent: 'ward', entries: [entry('wing note')] },
];

/** What was asked of the background for words, and how each is answered: when the test says so. */
let finding: { words: string; answer: (entries: FoundEntry[]) => Promise<void> }[] = [];
beforeEach(() => {
  finding = [];
  Element.prototype.scrollIntoView = () => undefined;
  const sendMessage = ({ ask, words }: { ask: string; words: string }) => {
    if (ask === 'list') return Promise.resolve(LIST);
    return new Promise((resolve) => {
      const answer = async (entries: FoundEntry[]) => act(async () => Promise.resolve(resolve(entries)));
      finding.push({ words, answer });
    });
  };
  Object.assign(globalThis, { chrome: { runtime: { sendMessage } } });
});

async function slip() {
  const taken: string[] = [];
  const { getByRole, getAllByRole, queryAllByRole } = render(
    <FindSlip take={({ id }) => taken.push(id)} close={() => taken.push('closed')} />,
  );
  await act(async () => Promise.resolve());
  const line = getByRole('combobox');
  const press = (key: string) => act(() => void fireEvent.keyDown(line, { key }));
  const type = (value: string) => act(() => void fireEvent.change(line, { target: { value } }));
  const chosen = () => getAllByRole('option', { selected: true })[0]!.querySelector('b')!.textContent;
  return { taken, press, type, chosen, rows: () => queryAllByRole('option').length };
}
const answered = (words: string, ...ids: string[]) =>
  finding.find((one) => one.words === words)!.answer(ids.map(entry));

test('Enter right after the last letter takes what these words find, and never what was found for others', async () => {
  const { taken, press, type } = await slip();
  type('k');
  await answered('k', 'handling');
  type('kind regards');
  press('Enter');
  expect(taken).toEqual([]);
  await answered('kind regards', 'regards', 'handling');
  expect(taken).toEqual(['regards']);
});

test('an Enter that nothing was found for takes nothing later on, nor does one after which more is typed', async () => {
  const { taken, press, type } = await slip();
  type('zebra');
  press('Enter');
  await answered('zebra');
  type('zeb');
  press('Enter');
  type('ze');
  await answered('zeb', 'handling');
  await answered('ze', 'regards');
  expect(taken).toEqual([]);
  press('Enter');
  expect(taken).toEqual(['regards']);
});

test('answers that come late for earlier words change nothing; arrows go among what is there', async () => {
  const { taken, press, type, chosen, rows } = await slip();
  type('ha');
  type('hand');
  await answered('hand', 'handling', 'regards');
  await answered('ha', 'wing note');
  expect(rows()).toBe(2);
  press('ArrowDown');
  press('ArrowDown');
  expect(chosen()).toBe('regards');
  press('ArrowUp');
  press('Enter');
  expect(taken).toEqual(['handling']);
});

test('without words the bank is walked: into a collection, out again to where one was, and an entry is taken', async () => {
  const { taken, press, chosen } = await slip();
  press('ArrowRight');
  expect(chosen()).toBe('Wing');
  press('ArrowRight');
  expect(chosen()).toBe('wing note');
  press('ArrowLeft');
  expect(chosen()).toBe('Wing');
  press('ArrowDown');
  press('Enter');
  expect(taken).toEqual(['handling']);
  press('Escape');
  expect(taken).toEqual(['handling', 'closed']);
});
