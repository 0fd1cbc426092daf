import { describe, expect, test } from '@jest/globals';
import { OWN_ACCOUNT, signatureFor, signedWith, type Signature } from './index';

const account = { name: 'Desta Wynne', job: 'Field tutor', email: 'desta@hollin.example', phone: '' };
const set = (id: string, over: Partial<Signature> = {}): Signature => ({
  ...{ id, label: id, name: '', job: '', email: '', phone: '', address: '', kinds: [], collections: [] },
  ...over,
});
const office = set('office', { kinds: ['reply'], job: 'Front office' });
const school = set('school', { collections: ['school'], address: 'The Boathouse, Hollin Marsh' });
const signatures = [office, school];
const of = { case: 'c', kind: 'note', collections: [] as string[] };

describe('which set signs', () => {
  test.each([
    ['none that is meant for it: the account', {}, of, null],
    ['the kind of work', {}, { ...of, kind: 'reply' }, 'office'],
    [
      'the collection before the kind of work',
      {},
      { ...of, kind: 'reply', collections: ['school'] },
      'school',
    ],
    ['a collection around the entry’s own', {}, { ...of, collections: ['letters', 'school'] }, 'school'],
    [
      'what was chosen for the case before all',
      { c: 'office' },
      { ...of, collections: ['school'] },
      'office',
    ],
    ['the account, where it was chosen', { c: OWN_ACCOUNT }, { ...of, kind: 'reply' }, null],
    ['a set that is gone: as if none had been chosen', { c: 'gone' }, { ...of, kind: 'reply' }, 'office'],
    ['a choice for another case', { d: 'office' }, of, null],
  ] as const)('%s', (_what, signs, signed, wanted) => {
    expect(signatureFor({ signatures, signs }, signed)?.id ?? null).toBe(wanted);
  });

  test('of two the nearer collection decides, not their order', () => {
    const inner = set('inner', { collections: ['letters'] });
    const asked = { ...of, collections: ['letters', 'school'] };
    expect(signatureFor({ signatures: [school, inner] }, asked)?.id).toBe('inner');
  });
});

test('what a set leaves empty is as in the account', () => {
  expect(signedWith(account, school)).toEqual({ ...account, address: 'The Boathouse, Hollin Marsh' });
  expect(signedWith(account, { ...office, phone: ' 07700 ' })).toEqual({
    ...{ ...account, address: '' },
    ...{ job: 'Front office', phone: '07700' },
  });
  expect(signedWith(account, null)).toEqual({ ...account, address: '' });
});
