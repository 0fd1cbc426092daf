import { expect, test } from '@jest/globals';
import { z } from 'zod';
import { checked } from './bind';

const Schema = z.object({
  id: z.string(),
  kept: z.array(z.object({ title: z.string(), note: z.string().default('') })),
});

test('an answer goes out as it is, however its keys stand', () => {
  const answer = { kept: [{ note: '', title: 'x' }], id: 'a' };
  expect(checked(Schema, answer)).toBe(answer);
  expect(checked(undefined, 'anything')).toBe('anything');
});

test.each([
  ['a column that the contract does not name', { id: 'a', kept: [], passwordHash: 'x' }, 'passwordHash'],
  ['one deep within', { id: 'a', kept: [{ title: 'x', note: '', owner: 'y' }] }, 'kept.0.owner'],
  ['what the contract would fill in', { id: 'a', kept: [{ title: 'x' }] }, 'kept.0.note'],
])('%s is an error', (_, answer, place) => {
  expect(() => checked(Schema, answer)).toThrow(place);
});
