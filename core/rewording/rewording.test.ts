import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { DraftDocument } from '#core/draft';
import { EntryContentSchema, FieldSchema, fullWordings, newEntry, type EntryContent } from '#core/entry';
import { place } from '#core/fill';
import { passageFrom, readEntry, writeEntry } from '#core/notation';
import { mapLines, type Inline, type Passage } from '#core/passage';
import { emptyRecord } from '#core/record';
import { anyAnswers, anyEntry } from '#core/testing';
import { changesOf, placedLines, reworded, usualChanges, wordingLines } from './index';

const setting = { record: emptyRecord(), today: '2026-11-26', cue: null };

const passageOf = (content: EntryContent) => fullWordings(content)[0]!.parts.at(-1)!.passage;

/** The draft with an entry placed between two lines written by hand, and then changed. */
function draftOf(content: EntryContent, change: (passage: Passage) => Passage): DraftDocument {
  const entry = { id: 'e', revision: 1, content };
  const answers = Object.fromEntries(
    content.fields.map(({ id, name }) => [id, { kind: 'text' as const, text: `the ${name}` }]),
  );
  const { passage, placement } = place({ ...setting, entry, id: 'p', answers });
  const byHand = passageFrom('Written by hand.').content;
  return {
    type: 'doc',
    attrs: { placements: { p: placement } },
    content: [...byHand, ...change(passage).content, ...byHand],
  };
}

const source = (text: string) => {
  const fields = [...new Set([...text.matchAll(/\{(\w+)\}/g)].map((match) => match[1]!))];
  return `title: T\n\n${fields.map((name) => `field ${name}: text\n`).join('')}\n== wording Main: en-GB\n\n${text}`;
};
const entryOf = (text: string): EntryContent => {
  const read = readEntry(source(text));
  if (!read.ok) throw new Error(JSON.stringify(read));
  return read.value;
};
const replaced = (from: string, to: string) => (passage: Passage) =>
  mapLines(passage, (line) =>
    line.flatMap((inline): Inline[] => {
      if (inline.type !== 'text') return [inline];
      const text = inline.text.replace(from, to);
      return text === '' ? [] : [{ ...inline, text }];
    }),
  );

test('placed in a text of its own, what was changed there is seen; where its other part went is not taken for it', () => {
  const content = entryOf('It ate well at dawn.');
  const passage = passageOf(content);
  const draft = draftOf(content, replaced('ate', 'fed'));
  const [byHand, ...rest] = draft.content;
  const subject = { type: 'box' as const, attrs: { name: 'Subject' }, content: [rest[0]!] };
  const letter = { type: 'box' as const, attrs: { name: 'Letter' }, content: rest };
  const parts = { ...draft.attrs.placements.p!, parts: ['Subject'] };
  const within = { ...draft, content: [subject, byHand!, letter], attrs: { placements: { p: parts } } };
  expect(placedLines(within, 'p', passage)).toEqual(['It fed well at dawn.']);
  expect(placedLines({ ...within, content: [subject, byHand!] }, 'p', passage)).toEqual([]);
});

/** What was changed, as the wording would read with each change made. */
function told(text: string, change: (passage: Passage) => Passage): string[] {
  const content = entryOf(text);
  const wording = passageOf(content);
  const draft = draftOf(content, change);
  const changes = changesOf(wordingLines(wording)!, placedLines(draft, 'p', wording));
  const at = { wording: content.wordings[0]!.id, part: content.wordings[0]!.parts[0]!.id };
  return changes.map((one) => {
    const written = writeEntry(reworded(content, at, one));
    // Behind the line that names the part.
    return written.slice(written.indexOf('-- part')).split('\n').slice(1).join('\n').trim();
  });
}

describe('what was changed by hand in a placed wording', () => {
  test.each([
    ['{Name} ate {Food} today.', replaced('today', 'at dusk'), ['{Name} ate {Food} at dusk.']],
    ['Keep {Name} warm. Call us. Thank you.', replaced(' Call us.', ''), ['Keep {Name} warm. Thank you.']],
    ['Keep {Name} warm.', (passage: Passage) => passage, []],
    ['Keep {Name} warm.', replaced('warm', 'WARM'), []],
    ['Keep {Name} warm.\n\nCall us.\n\nThanks.', replaced('Call us.', ''), ['Keep {Name} warm.\n\nThanks.']],
    [
      'Keep {Name} warm.\n\nCall us.',
      (passage: Passage) => ({ ...passage, content: passage.content.slice(0, 1) }),
      ['Keep {Name} warm.'],
    ],
  ])('%j', (text, change, wanted) => {
    expect(told(text, change)).toEqual(wanted);
  });

  test('a sign that lost the spaces at its sides, where its blank was left out, is no change of words', () => {
    expect(changesOf(['Seen  - \uFFFC'], ['Seen -\uFFFC'])).toEqual([]);
    expect(changesOf(['Seen  - \uFFFC'], ['Heard -\uFFFC'])).toHaveLength(1);
  });

  test('whatever an entry holds and is answered: untouched, it was not changed', () => {
    fc.assert(
      fc.property(
        anyEntry.chain((entry) =>
          fc.tuple(fc.constant(EntryContentSchema.parse(entry)), anyAnswers(entry.fields)),
        ),
        ([content, answers]) => {
          const entry = { id: 'e', revision: 1, content };
          const { passage, placement } = place({ ...setting, entry, id: 'p', answers });
          const wording = passageOf(content);
          const lines = wordingLines(wording);
          if (!lines) return;
          const draft: DraftDocument = { ...passage, attrs: { placements: { p: placement } } };
          expect(changesOf(lines, placedLines(draft, 'p', wording))).toEqual([]);
        },
      ),
      { numRuns: 300 },
    );
  });
});

test('a blank that only decides about a folded passage it stands in is no change by hand', () => {
  const when = [{ type: 'when' as const, attrs: { condition: 'c', placement: null } }];
  const entry = newEntry('x', 'en-GB', passageFrom('A'));
  const content: EntryContent = {
    ...entry,
    fields: [FieldSchema.parse({ id: 'f', name: 'f', kind: 'person' })],
    conditions: [{ id: 'c', when: { test: 'answered', field: 'f' } }],
  };
  const passage = passageOf(content);
  const attrs = {
    field: 'f',
    form: 'as-is',
    placement: null,
    text: '',
    state: 'gap',
    dropped: 'none',
  } as const;
  passage.content[0] = {
    type: 'paragraph',
    content: [
      { type: 'text', text: 'A' },
      { type: 'text', text: 'A', marks: when },
      { type: 'blank', attrs, marks: when },
    ],
  };
  const placed = place({ ...setting, entry: { id: 'e', revision: 1, content }, id: 'p' });
  const draft: DraftDocument = { ...placed.passage, attrs: { placements: { p: placed.placement } } };
  expect(changesOf(wordingLines(passage)!, placedLines(draft, 'p', passage))).toEqual([]);
});

test('only what was changed in several cases, and often, is told, the commonest first', () => {
  const drop = { line: 0, from: 0, to: 8, put: '' };
  const add = { line: 1, from: 4, to: 4, put: ' again' };
  const own = { line: 1, from: 0, to: 4, put: 'Bramble' };
  const all = [
    { case: 'a', author: 'imke', changes: [drop, own] },
    { case: 'a', author: 'imke', changes: [drop, own] },
    { case: 'b', author: 'imke', changes: [drop, add] },
    { case: 'c', author: 'imke', changes: [{ ...add, put: ' again ' }] },
    { case: 'd', author: 'imke', changes: [] },
  ];
  expect(usualChanges(all, 'imke')).toEqual([
    { ...drop, times: 3 },
    { ...add, times: 2 },
  ]);
  expect(
    usualChanges(
      [...all, ...Array.from({ length: 8 }, (_, at) => ({ case: `${at}`, author: 'imke', changes: [] }))],
      'imke',
    ),
  ).toEqual([]);
  // What one person alone wrote is nobody else's to read; what two did is told to all who were given the cases.
  expect(usualChanges(all, 'desta')).toEqual([]);
  const shared = all.map((one) => ({ ...one, author: one.case === 'b' ? 'odile' : 'imke' }));
  expect(usualChanges(shared, 'desta')).toEqual([
    { ...drop, times: 3 },
    { ...add, times: 2 },
  ]);
});

test('a wording with other entries in it is not compared', () => {
  const content = newEntry('x', 'en-GB', {
    type: 'doc',
    content: [{ type: 'paragraph', content: [{ type: 'include', attrs: { entry: 'other' } }] }],
  });
  expect(wordingLines(passageOf(content))).toBeNull();
});
