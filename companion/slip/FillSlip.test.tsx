import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { beginFilling, finishedParts, typedAnswers, type Filling } from '#client/filling';
import { newEntry, type Field } from '#core/entry';
import { plainText, type Passage } from '#core/passage';
import { emptyRecord, type CaseRecord } from '#core/record';
import type { EntryToFill } from '../messages';
import type { Bringing } from '../page/contract';
import { FillSlip } from './FillSlip';

const shared = { question: '', hint: '', required: true };
const FIELDS: Field[] = [
  { ...shared, id: 'name', name: 'Name', kind: 'detail', path: 'name' },
  { ...shared, id: 'food', name: 'Food', kind: 'text', starting: '' },
];
const blank = (field: string) => ({
  type: 'blank' as const,
  attrs: { field, form: 'as-is', placement: null, text: '', state: 'gap', dropped: 'none' },
});
const PASSAGE = {
  type: 'doc',
  content: [{ type: 'paragraph', content: [blank('name'), { type: 'text', text: ' eats ' }, blank('food')] }],
} as Passage;
const CONTENT = { ...newEntry('Fed', 'en-GB', PASSAGE), fields: FIELDS };
const entry = { id: 'fed', revision: 1, content: CONTENT };

const filled = (record: CaseRecord, answers = {}): Filling =>
  beginFilling({ entry, cue: null, record, today: '2026-11-30', now: '09:30', id: 'p', answers });
const BRAMBLE: CaseRecord = {
  ...emptyRecord(),
  details: [{ path: 'name', value: { kind: 'text', text: 'Bramble' }, source: 'Case', asOf: null }],
};
const words = (filling: Filling) =>
  plainText(finishedParts(filling, { before: '', after: '', inWord: false }).at(-1)!.passage);

// The browser of the tests draws nothing that could be rolled into view.
Element.prototype.scrollIntoView = () => undefined;

/** What was put into the box, and how the page says that it is there. */
let put: string[];
let taken: (trouble: string | null) => void;
/** Has what is read of the record come. */
let comes: (record: CaseRecord | null) => void;

beforeEach(() => {
  put = [];
  render(
    <FillSlip
      bringing={{ box: { element: document.body }, cue: null } as unknown as Bringing}
      toFill={{ entry, included: [], missing: [], writer: {} } as unknown as EntryToFill}
      begun={filled(emptyRecord())}
      remembered={{}}
      sources={[
        { label: 'From Bramble', letter: 'C', read: () => new Promise((resolve) => (comes = resolve)) },
      ]}
      inWording={(_wording, filling) => filling}
      inRecord={(record, filling) => filled(record, typedAnswers(filling))}
      selected=""
      ready={() => undefined}
      putIn={(filling) => {
        put.push(words(filling));
        return new Promise((resolve) => (taken = resolve));
      }}
      giveUp={() => undefined}
    />,
  );
});
afterEach(cleanup);

const settle = (act_: () => void) =>
  act(async () => {
    act_();
    await Promise.resolve();
  });
const line = () => screen.getByRole<HTMLInputElement>('textbox');
const type = (value: string) => act(() => void fireEvent.change(line(), { target: { value } }));
const press = (key: string, more = {}) => act(() => void fireEvent.keyDown(line(), { key, ...more }));
const putButton = () => screen.getByRole('button', { name: /^Put it in/ });

test('what is typed while a record is read stays, and the record fills the rest', async () => {
  type('Fern');
  press('Enter');
  press('c', { altKey: true, code: 'KeyC' });
  type('worms');
  await settle(() => comes(BRAMBLE));
  act(() => void fireEvent.click(putButton()));
  expect(put).toEqual(['Fern eats worms']);
});

test('where nothing can be read it is told, and the answers are as they were', async () => {
  type('Fern');
  press('c', { altKey: true, code: 'KeyC' });
  await settle(() => comes(null));
  expect(screen.getByRole('alert').textContent).toContain('nothing could be read');
  expect(line().value).toBe('Fern');
});

test('put in twice at once it goes in once; refused, it can be put in again', async () => {
  type('Fern');
  press('Enter');
  type('worms');
  act(() => void fireEvent.click(putButton()));
  act(() => void fireEvent.click(putButton()));
  expect(put).toEqual(['Fern eats worms']);
  await settle(() => taken('The box has no room for this.'));
  expect(screen.getByRole('alert').textContent).toBe('The box has no room for this.');
  act(() => void fireEvent.click(putButton()));
  expect(put).toHaveLength(2);
});

test('with something open it says what, and goes there', () => {
  press('Enter', { ctrlKey: true });
  expect(put).toEqual([]);
  expect(screen.getByRole('alert').textContent).toBe('This needs an answer first: Name');
});
