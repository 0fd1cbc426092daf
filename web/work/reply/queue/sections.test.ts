import { expect, test } from '@jest/globals';
import type { Enquiry } from '#contracts';
import { foundIn, joinableTo, sectionsOf } from './sections';

const enquiry = (id: string, over: Partial<Enquiry> = {}): Enquiry => ({
  ...{ case: id, title: `Toad ${id}`, fromName: 'Tam Ord', fromAddress: 'tam@marsh.example' },
  ...{ excerpt: 'A toad sits here.', language: null, since: '2026-11-23T08:00:00Z', state: 'open' as const },
  ...{ takenBy: null, takenByName: null, putOffTo: null, isMine: false, messages: 1, notes: [] },
  ...over,
});

test('each enquiry is under one heading, and back from the day to which it was put off', () => {
  const queue = [
    enquiry('new'),
    enquiry('mine', { takenBy: 'me' }),
    enquiry('theirs', { takenBy: 'her' }),
    enquiry('asked', { takenBy: 'me', state: 'awaiting' }),
    enquiry('off', { takenBy: 'me', putOffTo: '2026-11-25' }),
    enquiry('today', { putOffTo: '2026-11-24' }),
    enquiry('done', { state: 'answered', putOffTo: '2026-11-25' }),
  ];
  const sections = sectionsOf(queue, 'me', '2026-11-24');
  expect(
    Object.fromEntries(sections.map((one) => [one.title, one.enquiries.map((each) => each.case)])),
  ).toEqual({
    Yours: ['mine'],
    New: ['new', 'today'],
    'Answered by others now': ['theirs'],
    'Waiting for their answer': ['asked'],
    'Put off': ['off'],
    Answered: ['done'],
  });
  expect(sections.flatMap((one) => one.enquiries)).toHaveLength(queue.length);
});

test.each([
  ['', ['a', 'b']],
  ['KRÖTE', ['b']],
  ['krote tam', ['b']],
  ['her word', ['a']],
  ['toad nowhere', []],
])('words find: %j', (words, found) => {
  const note = { id: 'n', by: 'her', byName: 'Her', at: '2026-11-23T08:00:00Z', text: 'Her word on it.' };
  const queue = [enquiry('a', { notes: [note] }), enquiry('b', { excerpt: 'Eine Kröte.' })];
  expect(foundIn(queue, words).map((one) => one.case)).toEqual(found);
});

test('joined are those of one sender that wait, and that nobody else answers', () => {
  const one = enquiry('one');
  const queue = [
    one,
    enquiry('same', { fromAddress: 'TAM@marsh.example', takenBy: 'me' }),
    enquiry('hers', { takenBy: 'her' }),
    enquiry('done', { state: 'answered' }),
    enquiry('other', { fromAddress: 'ord@marsh.example' }),
  ];
  expect(joinableTo(queue, one, 'me').map(({ case: of }) => of)).toEqual(['same']);
  expect(joinableTo(queue, enquiry('nobody', { fromAddress: '' }), 'me')).toEqual([]);
  expect(joinableTo(queue, enquiry('taken', { takenBy: 'her' }), 'me')).toEqual([]);
});
