import { describe, expect, test } from '@jest/globals';
import { newEntry, type EntryContent, type Field } from '#core/entry';
import { plainText, type BlankInline, type Inline, type Passage } from '#core/passage';
import { emptyRecord, type CaseRecord } from '#core/record';
import type { Answers } from '#core/draft';
import { fillWording } from './index';

const blank = (field: string, form = 'as-is'): BlankInline => ({
  type: 'blank',
  attrs: {
    ...{ field, form: form as BlankInline['attrs']['form'] },
    ...{ placement: null, text: '', state: 'gap', dropped: 'none' },
  },
});

/** "It is [name]." as a passage: brackets are blanks, optionally with a form after a colon. */
const passage = (template: string): Passage => ({
  type: 'doc',
  content: [
    {
      type: 'paragraph',
      content: template.split(/(\[[^\]]+\])/).flatMap((piece): Inline[] => {
        const found = /^\[([^:\]]+)(?::(.+))?\]$/.exec(piece);
        if (found) return [blank(found[1]!, found[2])];
        return piece === '' ? [] : [{ type: 'text', text: piece }];
      }),
    },
  ],
});

const shared = { question: '', hint: '', required: true };
const FIELDS: Field[] = [
  {
    ...{ ...shared, id: 'signs', name: 'Signs', kind: 'choice', many: true, join: 'and' },
    options: ['ticks', 'fleas'].map((label, at) => ({ id: 'ab'[at]!, label, words: null })),
  },
  { ...shared, id: 'name', name: 'Name', kind: 'detail', path: 'name' },
  { ...shared, id: 'born', name: 'Born', kind: 'detail', path: 'born' },
];
const entry = (content: Passage): EntryContent => ({ ...newEntry('Test', 'en-GB', content), fields: FIELDS });

const record: CaseRecord = {
  ...emptyRecord(),
  details: [
    { path: 'name', value: { kind: 'text', text: 'Bramble' }, source: 'Patient', asOf: '2026-11-20' },
    { path: 'born', value: { kind: 'date', date: '2026-09-03' }, source: 'Patient', asOf: '2026-11-20' },
  ],
};
const request = (content: Passage, answers: Answers) => ({
  ...{ entry: { id: 'e1', revision: 1, content: entry(content) }, record, today: '2026-11-24', answers },
});
const text = (words: string) => ({ kind: 'text', text: words }) as const;

describe('what is found for an entry once holds as long as the entry is the same', () => {
  const wording = passage('It has [signs], weighs [name].');
  const signs: Answers = { signs: { kind: 'chosen', options: ['a'] } };
  const asked = request(wording, signs);
  const filled = (content: EntryContent) =>
    plainText(fillWording({ ...asked, entry: { ...asked.entry, content } }));

  test('a field that was changed, with its wording as it was', () => {
    const { content } = asked.entry;
    expect(filled(content)).toBe('It has ticks, weighs Bramble.');
    const fields = content.fields.map((field) =>
      field.kind === 'choice' && field.id === 'signs'
        ? { ...field, options: [{ id: 'a', label: 'ticks', words: 'many ticks' }] }
        : field,
    );
    expect(filled({ ...content, fields })).toBe('It has many ticks, weighs Bramble.');
  });

  test('a condition that was changed, with its wording as it was', () => {
    const when = (value: string) => ({
      conditions: [{ id: 'w', when: { test: 'is' as const, field: 'signs', value } }],
    });
    const optional: Passage = {
      type: 'doc',
      content: [
        {
          type: 'paragraph',
          content: [
            { type: 'text', text: 'Seen.' },
            {
              type: 'text',
              text: ' Treated.',
              marks: [{ type: 'when', attrs: { condition: 'w', placement: null } }],
            },
          ],
        },
      ],
    };
    const content = entry(optional);
    expect(filled({ ...content, ...when('a') })).toBe('Seen. Treated.');
    expect(filled({ ...content, ...when('b') })).toBe('Seen.');
  });

  test('another record, another language of the same words', () => {
    const content = entry(passage('Born [born].'));
    const [first] = content.wordings;
    const both = { ...content, wordings: [first!, { ...first!, id: 'de', language: 'de' }] };
    const inLanguage = (id: string, on: CaseRecord) =>
      plainText(fillWording({ ...asked, record: on, wording: id, entry: { ...asked.entry, content: both } }));
    expect(inLanguage(first!.id, record)).toBe('Born 3 September 2026.');
    expect(inLanguage('de', record)).toBe('Born 3. September 2026.');
    expect(inLanguage('de', emptyRecord())).toBe('Born .');
  });

  test('a detail that was answered by hand, and then not', () => {
    const content = entry(passage('This is [name], [name:upper].'));
    const by = (answers: Answers) =>
      plainText(fillWording({ ...asked, answers, entry: { ...asked.entry, content } }));
    expect(by({})).toBe('This is Bramble, BRAMBLE.');
    expect(by({ name: text(' Fern ') })).toBe('This is Fern, FERN.');
    expect(by({})).toBe('This is Bramble, BRAMBLE.');
  });
});
