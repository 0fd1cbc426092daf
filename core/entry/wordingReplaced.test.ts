import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { emptyPassage, plainPassage, plainText, type Passage } from '#core/passage';
import { anyEntry } from '#core/testing';
import { newEntry, newField, wordingFor, wordingReplaced, type EntryContent } from '.';

const line = (...words: (string | { blank: string })[]): Passage => ({
  type: 'doc',
  content: [
    {
      type: 'paragraph',
      content: words.map((one) =>
        typeof one === 'string'
          ? { type: 'text', text: one }
          : {
              type: 'blank',
              attrs: {
                field: one.blank,
                form: 'as-is',
                placement: null,
                text: '',
                state: 'gap',
                dropped: 'none',
              },
            },
      ),
    },
  ],
});
const wording = (id: string, language: string, ...passages: Passage[]) => ({
  id,
  name: id,
  language,
  parts: passages.map((passage, at) => ({ id: `${at}`, name: `${at}`, passage })),
});
const reply: EntryContent = {
  ...newEntry('Reply', 'en-GB'),
  tags: ['found'],
  cues: [{ text: 'rp' }],
  fields: [
    newField('text', 'who', 'Who'),
    newField('text', 'where', 'Where'),
    { ...newField('choice', 'food', 'Food'), question: 'What did it eat?' },
    newField('date', 'seen', 'Seen'),
    newField('text', 'spare', 'Spare'),
    {
      ...newField('computed', 'again', 'Check again'),
      kind: 'computed',
      unit: '',
      decimals: null,
      calculation: { by: 'formula', formula: 'Seen + 7' },
    },
  ],
  wordings: [
    wording('main', 'en-GB', line('To ', { blank: 'who' }), line({ blank: 'where' }, { blank: 'again' })),
    wording('other', 'cy', line({ blank: 'food' })),
  ],
};

test('one wording takes the new words; all else stays, and of the fields those that something uses', () => {
  const captured = {
    passage: line('It ate ', { blank: 'x' }, ' near ', { blank: 'who' }),
    fields: [newField('choice', 'x', 'food'), newField('detail', 'who', 'Seen at')],
  };
  const { content, gone } = wordingReplaced(reply, wordingFor(reply, 'en-GB').id, captured);
  expect(content).toMatchObject({ title: 'Reply', tags: ['found'], cues: [{ text: 'rp' }] });
  expect(content.wordings[1]).toEqual(reply.wordings[1]);
  expect(content.wordings[0]!.parts[0]).toEqual(reply.wordings[0]!.parts[0]);
  // Food is the entry's own choice; what has the id of another field is another field still.
  expect(content.wordings[0]!.parts[1]!.passage).toEqual(
    line('It ate ', { blank: 'food' }, ' near ', { blank: 'who-2' }),
  );
  expect(content.fields.map(({ id }) => id)).toEqual(['who', 'food', 'spare', 'who-2']);
  expect(content.fields.find(({ id }) => id === 'food')).toEqual(reply.fields[2]);
  // With the computed field goes what it alone asked for; what nothing used before is nobody's to take away.
  expect(gone).toEqual(['Where', 'Seen', 'Check again']);
});

test('a name of another kind is a field of its own, by another name', () => {
  const { content } = wordingReplaced(reply, 'other', {
    passage: line({ blank: 'a' }),
    fields: [newField('date', 'a', 'who')],
  });
  expect(content.fields.at(-1)).toMatchObject({ id: 'a', name: 'who 2', kind: 'date' });
});

test('the wording in the language of where it is kept gives way, else the first', () => {
  expect(wordingFor(reply, 'cy').id).toBe('other');
  expect(wordingFor(reply, 'ga').id).toBe('main');
});

test('whatever entry words are captured from and put into, names and ids stay single, the words are those captured, other wordings as they were', () => {
  fc.assert(
    fc.property(anyEntry, anyEntry, fc.nat(), (into, from, at) => {
      const { id } = into.wordings[at % into.wordings.length]!;
      const { passage } = from.wordings[0]!.parts.at(-1)!;
      const { content } = wordingReplaced(into, id, { passage, fields: from.fields });
      const known = new Set(content.fields.map((field) => field.id));
      expect(known.size).toBe(content.fields.length);
      const names = content.fields.map(({ name }) => name.toLowerCase());
      if (new Set(into.fields.map(({ name }) => name.toLowerCase())).size === into.fields.length)
        expect(new Set(names).size).toBe(names.length);
      const words = content.wordings.find((one) => one.id === id)!.parts.at(-1)!.passage;
      expect(plainText(words)).toBe(plainText(passage));
      for (const one of content.wordings) if (one.id !== id) expect(into.wordings).toContainEqual(one);
    }),
  );
});

test('the same words put in the place of themselves change nothing', () => {
  const { passage } = reply.wordings[1]!.parts[0]!;
  expect(wordingReplaced(reply, 'other', { passage, fields: [reply.fields[2]!] })).toEqual({
    content: reply,
    gone: [],
  });
  expect(
    wordingReplaced(newEntry('x', 'en', plainPassage('y')), 'main', { passage: emptyPassage(), fields: [] })
      .gone,
  ).toEqual([]);
});
