import { expect, test } from '@jest/globals';
import { passageFrom } from '#core/notation';
import { plainText, type Inline, type Passage } from '#core/passage';
import { withAddresses } from './withAddresses';

const read = (source: string) => plainText(withAddresses(passageFrom(source)));

test.each([
  ['no link', 'Ring us.', 'Ring us.'],
  [
    'words over an address',
    'See [link <https://hollin.example/map>: the map].',
    'See the map (https://hollin.example/map).',
  ],
  ['an address over itself', 'See [link <https://hollin.example/>: hollin.example].', 'See hollin.example.'],
  ['a mail address', 'Write to [link <mailto:a@hollin.example>: us].', 'Write to us (a@hollin.example).'],
  ['a mail address over itself', '[link <mailto:a@hollin.example>: a@hollin.example]', 'a@hollin.example'],
  [
    'two links in a row',
    '[link <https://hollin.example/1>: One] [link <https://hollin.example/2>: two]',
    'One (https://hollin.example/1) two (https://hollin.example/2)',
  ],
])('%s', (_what, source, expected) => {
  expect(read(source)).toBe(expected);
});

test('a link of which some words are bold says its address once, behind all of them', () => {
  const link = { type: 'link' as const, attrs: { href: 'https://hollin.example/map' } };
  const content: Inline[] = [
    { type: 'text', text: 'the ', marks: [link] },
    { type: 'text', text: 'map', marks: [{ type: 'bold' }, link] },
    { type: 'text', text: ' here' },
  ];
  const passage: Passage = { type: 'doc', content: [{ type: 'paragraph', content }] };
  expect(plainText(withAddresses(passage))).toBe('the map (https://hollin.example/map) here');
});

test('a passage without a link is the very same', () => {
  const passage = passageFrom('Ring us.\n\n- now');
  expect(withAddresses(passage)).toBe(passage);
});
