import { expect, test } from '@jest/globals';
import { NewCaseSchema } from '../../contracts/cases';
import { readBack } from '#core/record';
import { emptyCase, isWritten, toNewCase, unread, withDetails } from './newCase';

const begun = { today: '2026-11-27', language: 'en-GB' };

test('what is written becomes what the server takes: words as they are, days as days, nothing for nothing', () => {
  const form = {
    ...emptyCase('admission'),
    title: 'Moth, hedgehog',
    details: { name: ' Moth ', born: '2026-09-01', admitted: '4nov', reason: '  ' },
  };
  const sent = toNewCase(form, begun);
  expect(NewCaseSchema.safeParse(sent).success).toBe(true);
  expect(sent).toMatchObject({
    number: null,
    details: [
      { path: 'name', value: { kind: 'text', text: 'Moth' } },
      { path: 'born', value: { kind: 'date', date: '2026-09-01' } },
      { path: 'admitted', value: { kind: 'date', date: '2026-11-04' } },
    ],
  });
});

test('details of another kind are not sent, and are there again when one goes back to it', () => {
  const form = { ...emptyCase('reply'), title: 'Owl', details: { customer: 'Petra Lindow', species: 'owl' } };
  const paths = (kind: 'feedback' | 'reply') =>
    toNewCase({ ...form, kind }, begun).details.map(({ path }) => path);
  expect(paths('feedback')).toEqual([]);
  expect(paths('reply')).toEqual(['customer', 'species']);
});

test.each([
  [{}, false],
  [{ title: '  ' }, false],
  [{ details: { name: '' } }, false],
  [{ details: { name: 'Moth' } }, true],
  [{ given: ['odile'] }, true],
])('%j is worth keeping: %s', (over, expected) => {
  expect(isWritten({ ...emptyCase('feedback'), ...over })).toBe(expected);
});

test('a day is read back, and where none can be read it is told instead of being left out', () => {
  expect(readBack('born', '4nov', begun)).toBe('4 November 2026');
  expect(readBack('born', 'in the spring', begun)).toBeNull();
  expect(readBack('name', '4nov', begun)).toBeNull();
  const form = {
    ...emptyCase('admission'),
    details: { born: 'in the spring', admitted: '-2', name: 'Moth' },
  };
  expect(unread(form, begun)).toEqual(['born']);
  // What another kind asks for is not looked at.
  expect(unread({ ...form, kind: 'reply' }, begun)).toEqual([]);
});

test('each case being begun has an id of its own', () => {
  expect(emptyCase('leaf').id).not.toBe(emptyCase('leaf').id);
});

test('details that were found are put where nothing is written yet; what becomes of each is told', () => {
  const begunWith = { ...emptyCase('admission'), details: { species: 'owl' } };
  const found = new Map([
    ['name', 'Bramble'],
    ['species', 'hedgehog'],
    ['number', 'HH-1186'],
    ['topic', 'Found by day'],
  ] as const);
  const { form, ...became } = withDetails(begunWith, found);
  expect(form).toMatchObject({
    title: 'Bramble',
    number: 'HH-1186',
    details: { name: 'Bramble', species: 'owl' },
  });
  expect(became).toEqual({ taken: ['name', 'number'], stood: ['species'], left: ['topic'] });
  // Once more, nothing of it is changed.
  const again = withDetails(form, found);
  expect(again.form).toEqual(form);
  expect(again.taken).toEqual([]);
});
