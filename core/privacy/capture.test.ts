import { describe, expect, test } from '@jest/globals';
import { newEntry, proposeTitle, type Field } from '#core/entry';
import { place } from '#core/fill';
import { lineText, linesOf, plainPassage, plainText, type Passage } from '#core/passage';
import { emptyRecord, type CaseRecord } from '#core/record';
import { passageFrom } from '#core/notation';
import { capture, captureForBank, personalFinder, personalInCaptured } from './index';

const TODAY = '2026-11-25';
const detail = (path: string, words: string) => ({
  path,
  value: { kind: 'text', text: words } as const,
  source: 'Patient details',
  asOf: TODAY,
});
const record: CaseRecord = {
  ...emptyRecord(),
  details: [
    detail('name', 'Bramble'),
    detail('species', 'hedgehog'),
    { path: 'born', value: { kind: 'date', date: '2026-09-03' }, source: 'Patient details', asOf: TODAY },
    {
      path: 'admitted',
      value: { kind: 'date', date: '2026-11-14' },
      source: 'Admission',
      asOf: '2026-11-14',
    },
  ],
  measurements: [
    {
      code: 'weight',
      label: 'Weight',
      value: 512,
      unit: 'g',
      measured: '2026-11-22',
      minute: null,
      by: null,
      source: 'Measurement',
    },
  ],
};
const draft = { placements: {}, record, today: TODAY };

/** A wording with its blanks written as the fields' names in brackets. */
const shown = (passage: Passage, fields: readonly Field[]) =>
  linesOf(passage)
    .map((line) =>
      line
        .map((one) => {
          if (one.type === 'text') return one.text;
          return one.type === 'blank' ? `[${fields.find(({ id }) => id === one.attrs.field)!.name}]` : '\n';
        })
        .join(''),
    )
    .join('\n');

test.each([
  ['Bramble ate. Bramble slept.', '[Name] ate. [Name] slept.'],
  ['The Hedgehog is 11 weeks old.', 'The [Species] is [Age] old.'],
  ['It weighs 512 g, or 0.512 kg.', 'It weighs [Latest weight], or [Latest weight].'],
  ['It weighs 1512 g and got 512 ml.', 'It weighs 1512 g and got 512 ml.'],
  ['In on 14 November 2026 (14/11/2026).', 'In on [Admitted] ([Admitted]).'],
  ['Seen on 2 March 2026 and 3 March 2026.', 'Seen on [Date] and [Date 2].'],
  ['A bramble bush scratched it.', 'A bramble bush scratched it.'],
  ['Brambles are ripe.', 'Brambles are ripe.'],
])('%j is kept as %j', (words, expected) => {
  const { passage, fields } = capture(plainPassage(words), draft);
  expect(shown(passage, fields)).toBe(expected);
});

test('each particular can be turned back, and then it stays as it was', () => {
  const words = plainPassage('Bramble weighs 512 g.');
  expect(capture(words, draft).particulars.map(({ key }) => key)).toEqual(['name', 'weight']);
  const { passage, fields } = capture(words, draft, new Set(['weight']));
  expect(shown(passage, fields)).toBe('[Name] weighs 512 g.');
  expect(plainText(capture(words, draft, new Set(['name', 'weight'])).passage)).toBe('Bramble weighs 512 g.');
});

test('words of a placement become a wording again: blanks with their fields, no answers, no trace of the draft', () => {
  const fields: Field[] = [
    { id: 'who', name: 'Who', question: '', hint: '', required: true, kind: 'detail', path: 'name' },
    { id: 'how', name: 'How', question: 'How?', hint: '', required: true, kind: 'text', starting: '' },
  ];
  const content = { ...newEntry('Test', 'en-GB', passageFrom('{who} ate {how}.')), fields };
  const { passage, placement } = place({
    entry: { id: 'e', revision: 1, content },
    cue: null,
    record,
    today: TODAY,
    id: 'p1',
    answers: { how: { kind: 'text', text: 'slowly' } },
  });
  const captured = capture(passage, { ...draft, placements: { p1: placement } });
  expect(shown(captured.passage, captured.fields)).toBe('[Who] ate [How].');
  expect(JSON.stringify(captured)).not.toMatch(/Bramble|slowly|p1/);
});

describe('words captured with details that the record does not know', () => {
  const find = personalFinder({ names: ['Odile Brandt', 'Imke Tarrow'], numbers: [] }, new Set());
  const captured = (text: string) => ({ passage: plainPassage(text), fields: [], particulars: [] });
  const text = 'Odile rang Mrs Sorrel on 01632 960 150; she came, and Odile wrote it down.';

  test('are told once each, and become fields of their own where they are wanted', () => {
    const all = personalInCaptured(captured(text), find, ({ kind }) => kind !== 'pronoun');
    expect(all.personal.map(({ words, kind }) => `${kind}: ${words}`)).toEqual([
      'name: Odile',
      'name: Mrs Sorrel',
      'phone: 01632 960 150',
      'pronoun: she',
    ]);
    expect(all.fields.map(({ kind }) => kind)).toEqual(all.fields.map(() => 'text'));
    const left = linesOf(all.passage).map(lineText).join();
    expect(left).toBe('\uFFFC rang \uFFFC on \uFFFC; she came, and \uFFFC wrote it down.');
    expect(proposeTitle(all.passage)).not.toMatch(/Odile|Sorrel|960/);
  });

  test('stay where they are not wanted', () => {
    const none = personalInCaptured(captured(text), find, () => false);
    expect(linesOf(none.passage).map(lineText)).toEqual([text]);
    expect(none.fields).toEqual([]);
  });
});

test('a whole day that the record does not know becomes a date in the form it has; one without its year is asked for in words', () => {
  const fields = (text: string) =>
    captureForBank(plainPassage(text), { placements: {}, record, today: '2026-11-25' }, null).fields;
  expect(fields('2026_03_04 Marsh Water').map(({ kind, name }) => [kind, name])).toEqual([['date', 'Date']]);
  expect(fields('Seen again on 4 March 2026.').map(({ kind }) => kind)).toEqual(['date']);
  expect(fields('Seen again on 4 March.').map(({ kind }) => kind)).toEqual(['text']);
});
