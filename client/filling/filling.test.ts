import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { EntryContentSchema, newEntry, type EntryContent, type Field } from '#core/entry';
import { finishedPassage, gapsOf, place, type PlaceRequest } from '#core/fill';
import { plainText, type Passage } from '#core/passage';
import { emptyRecord } from '#core/record';
import { anyAnswers, anyEntry } from '#core/testing';
import { beginFilling, finishedParts, gapsIn, stepsOf, typedAnswers, withAnswers, withConfirmed } from '.';

const requestOf = (content: EntryContent, answers: PlaceRequest['answers'] = {}): PlaceRequest => ({
  entry: { id: 'e', revision: 1, content },
  cue: ';e',
  record: emptyRecord(),
  today: '2026-11-30',
  now: '09:30',
  id: 'p',
  answers,
});
const ALONE = { before: '', after: '', inWord: false };

const field = (over: Partial<Field> & Pick<Field, 'kind'>): Field =>
  ({ id: 'f', name: 'Food', question: '', hint: '', required: true, ...over }) as Field;
const blank = (id: string) => ({
  type: 'blank' as const,
  attrs: { field: id, form: 'as-is', placement: null, text: '', state: 'gap', dropped: 'none' },
});
const lineOf = (...content: object[]): Passage =>
  ({ type: 'doc', content: [{ type: 'paragraph', content }] }) as Passage;
const text = (words: string, ...marks: object[]) => ({
  type: 'text',
  text: words,
  ...(marks.length > 0 && { marks }),
});
const entryOf = (passage: Passage, fields: Field[] = []) => ({
  ...newEntry('Fed', 'en-GB', passage),
  fields,
});

describe('filled from one record and then from another', () => {
  const recordOf = (name: string, sex: string) => ({
    ...emptyRecord(),
    details: Object.entries({ name, sex }).map(([path, value]) => ({
      ...{ path, value: { kind: 'text' as const, text: value } },
      ...{ source: 'Case', asOf: null },
    })),
  });
  const fields = [
    field({ id: 'name', name: 'Name', kind: 'detail', path: 'name' }),
    field({ id: 'who', name: 'Who', kind: 'person' }),
    field({ id: 'food', kind: 'text', starting: '' }),
  ];
  const content = entryOf(
    lineOf(blank('name'), text(': '), blank('who'), text(' eats '), blank('food')),
    fields,
  );
  const read = (filling: ReturnType<typeof beginFilling>) =>
    plainText(finishedParts(filling, ALONE).at(-1)!.passage);
  const first = () => beginFilling({ ...requestOf(content), record: recordOf('Bramble', 'male') });
  const then = (filling: ReturnType<typeof beginFilling>) =>
    beginFilling({
      ...requestOf(content, typedAnswers(filling)),
      record: recordOf('Fern', 'female'),
    });

  test('what the first told gives way, pronouns too; what was typed stays', () => {
    const filling = withAnswers(first(), { food: { kind: 'text', text: 'worms' } });
    expect(read(filling)).toBe('Bramble: he eats worms');
    expect(read(then(filling))).toBe('Fern: she eats worms');
  });

  test('what was given by hand in place of what it told stays too', () => {
    const filling = withAnswers(first(), {
      name: { kind: 'text', text: 'Bram' },
      who: { kind: 'person', person: 'they', known: false },
      food: { kind: 'text', text: 'worms' },
    });
    expect(read(then(filling))).toBe('Bram: they eats worms');
  });
});

describe('an entry that is filled by itself', () => {
  test('reads, answered field by field in any order, as the core fills it at once', () => {
    const cases = anyEntry.chain((entry) =>
      fc.tuple(
        fc.constant(EntryContentSchema.parse(entry)),
        anyAnswers(entry.fields),
        fc.shuffledSubarray(entry.fields.map(({ id }) => id)),
      ),
    );
    fc.assert(
      fc.property(cases, ([content, answers, order]) => {
        let filling = beginFilling(requestOf(content));
        for (const id of order) filling = withAnswers(filling, { [id]: answers[id] ?? null });
        const given = Object.fromEntries(
          order.flatMap((id) => (answers[id] ? [[id, answers[id]] as const] : [])),
        );
        // What was answered by itself and is taken back stays taken back.
        const known = { ...filling.placement.answers };
        expect(known).toMatchObject(given);
        const whole = place(requestOf(content, known));
        const taken = order.filter((id) => !answers[id]);
        fc.pre(taken.every((id) => whole.placement.answers[id] === undefined));
        const parts = finishedParts(filling, ALONE);
        expect(parts.slice(0, -1)).toEqual(
          whole.boxes.map(({ name, passage }) => ({ name, passage: finishedPassage(passage) })),
        );
        expect(plainText(parts.at(-1)!.passage).trim()).toBe(
          plainText(finishedPassage(whole.passage)).trim(),
        );
        const draft = { ...whole.passage, attrs: { placements: { p: whole.placement } } };
        const all = [...whole.boxes.map(({ passage }) => passage), draft].flatMap(({ content: of }) => of);
        expect(gapsIn(filling)).toEqual(gapsOf({ ...draft, content: all }));
      }),
      { numRuns: 80 },
    );
  });

  test.each([
    ['in a line', 'Seen. ', ' Rest.', 'Fed on fish.', 'Fed on fish.'],
    ['behind a word', 'Seen:', '', 'Fed on fish.', ' Fed on fish.'],
    ['before a word', '', 'again', 'fish', 'fish '],
    ['before a full stop', 'It ate ', '.', 'fish.', 'fish'],
  ])('joins what it is put beside: %s', (_, before, after, words, put) => {
    const filling = beginFilling(requestOf(entryOf(lineOf(text(words)))));
    const [only] = finishedParts(filling, { before, after, inWord: false });
    expect(plainText(only!.passage)).toBe(put);
  });

  test('follows the case in which its cue was typed', () => {
    const filling = beginFilling(requestOf(entryOf(lineOf(text('kind regards')))), 'upper');
    expect(plainText(finishedParts(filling, ALONE)[0]!.passage)).toBe('KIND REGARDS');
  });
});

describe('what it asks', () => {
  const asked = (of: Field) =>
    stepsOf(beginFilling(requestOf(entryOf(lineOf(text('Fed '), blank('f')), [of]))));

  test.each([
    ['a text', field({ kind: 'text', starting: '' }), true],
    ['a date', field({ kind: 'date' }), true],
    ['a required detail', field({ kind: 'detail', path: 'name' }), true],
    ['a detail that may be missing', field({ kind: 'detail', path: 'name', required: false }), false],
    [
      'words by turns',
      field({
        kind: 'alternates',
        by: 'turns',
        alternates: [{ words: 'a' }, { words: 'b' }],
      } as unknown as Field),
      false,
    ],
  ])('%s: %#', (_, of, isAsked) => {
    expect(asked(of)).toHaveLength(isAsked ? 1 : 0);
  });

  test('each field once, however many blanks it has; a field gone to by hand as well', () => {
    const detail = field({ kind: 'detail', path: 'x', required: false, id: 'd' });
    const passage = lineOf(blank('f'), text(' and '), blank('f'), text(' of '), blank('d'));
    const filling = beginFilling(requestOf(entryOf(passage, [field({ kind: 'date' }), detail])));
    expect(stepsOf(filling)).toHaveLength(1);
    expect(stepsOf(filling, 'd')).toHaveLength(2);
  });

  test('statements are asked about last, one by one, and are no gaps once they are confirmed', () => {
    const confirm = { type: 'confirm' };
    const passage = lineOf(
      text('Eyes clear.', confirm),
      text(' Then '),
      text('no wounds.', confirm),
      blank('f'),
    );
    let filling = beginFilling(requestOf(entryOf(passage, [field({ kind: 'date' })])));
    expect(stepsOf(filling).map(({ kind }) => kind)).toEqual(['answer', 'confirm', 'confirm']);
    filling = withConfirmed(filling, 1);
    expect(stepsOf(filling).at(-1)).toMatchObject({ kind: 'confirm', words: 'Eyes clear.' });
    filling = withConfirmed(withAnswers(filling, { f: { kind: 'date', date: '2026-12-01' } }), 0);
    expect(gapsIn(filling)).toEqual([]);
  });
});
