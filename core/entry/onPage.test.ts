import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newEntry } from './newEntry';
import { fullWordings } from './wordingReplaced';
import { wordingOnPage } from './onPage';
import { isOnPage, pageAddress } from './pageAddress';

test.each<[string, string | null]>([
  ['chat.example', 'chat.example'],
  [' Chat.Example ', 'chat.example'],
  ['https://works.example:8080/Team/chat/?room=4#top', 'works.example:8080/Team/chat'],
  ['localhost:4781/chat.html', 'localhost:4781/chat.html'],
  ['the chat', null],
  ['', null],
  ['https://', null],
  ['*.example', null],
])('%j names the page %j', (typed, wanted) => {
  expect(pageAddress(typed)).toBe(wanted);
});

test.each([
  ['chat.example', 'chat.example', true],
  ['chat.example', 'chat.example/rooms/4', true],
  ['chat.example/rooms', 'chat.example/rooms/4', true],
  ['chat.example/rooms', 'chat.example/roomsters', false],
  ['chat.example', 'chat.example.elsewhere', false],
  ['chat.example', 'mail.example', false],
])('%s holds for %s: %s', (page, address, wanted) => {
  expect(isOnPage(page, address)).toBe(wanted);
});

test('what is named once is named the same again', () => {
  fc.assert(
    fc.property(fc.webUrl({ withQueryParameters: true }), (url) => {
      const named = pageAddress(url);
      if (named !== null) expect(pageAddress(named)).toBe(named);
    }),
  );
});

describe('an entry with wordings for pages', () => {
  const base = newEntry('Night team', 'en-GB', { type: 'doc', content: [{ type: 'paragraph' }] });
  const [first] = base.wordings;
  const of = (id: string, onPage: string, language = 'en-GB') => ({ ...first!, id, onPage, language });
  const content = {
    ...base,
    wordings: [
      first!,
      of('chat', 'chat.example'),
      of('rooms', 'chat.example/rooms'),
      of('cy', 'chat.example', 'cy'),
    ],
  };

  test.each([
    ['chat.example', undefined, 'chat'],
    ['chat.example', 'cy', 'cy'],
    // The closest name wins over the language.
    ['chat.example/rooms/4', 'cy', 'rooms'],
    ['mail.example', undefined, null],
  ])('on %s in %s is read in %s', (address, language, wanted) => {
    expect(wordingOnPage(content, address, language)?.id ?? null).toBe(wanted);
  });

  test('reads in none of them elsewhere, unless it has no other', () => {
    expect(fullWordings(content).map(({ id }) => id)).toEqual([first!.id]);
    const only = { wordings: content.wordings.slice(1) };
    expect(fullWordings(only)).toHaveLength(3);
  });
});
