import { expect, test } from '@jest/globals';
import type { PageCard } from '#contracts';
import { selectorOf } from '../point/selectorOf';
import { placesOn } from '../point/places';
import { recordOnPage, wordsAt } from './detailsOnPage';

// No name here needs it; the page without a browser has none.
globalThis.CSS = { escape: (name: string) => name } as typeof CSS;

const WRITTEN = { today: '2026-11-30', language: 'en-GB' };
const PAGE = `
  <h1>Records</h1>
  <dl id="summary"><dt>Name</dt><dd>Bramble</dd><dt>Number</dt><dd>OT-311</dd></dl>
  <div><p>Born: 3 May 2026</p><p id="a12345">Language: English</p></div>
  <form name="find"><input name="q" value="otter"><input type="password" value="hidden"></form>
  <script>let name;</script>`;

const onPage = (html = PAGE) => {
  document.body.innerHTML = html;
  return document;
};
const card = (places: PageCard['places']): PageCard => ({ host: 'records.example', places });
const found = (places: PageCard['places']) =>
  recordOnPage(card(places), [document], WRITTEN)?.details.map(({ path, value }) => [path, value]) ?? null;

test.each([
  ['dd:first-of-type', '#summary > dd:nth-of-type(1)'],
  ['dd:nth-of-type(2)', '#summary > dd:nth-of-type(2)'],
  ['input[name=q]', 'input[name="q"]'],
  // Made anew with each page, it is no name.
  ['#a12345', 'html > body > div > p:nth-of-type(2)'],
])('%s is found again by %s, and by that alone', (wanted, selector) => {
  onPage();
  const element = document.querySelector(wanted)!;
  expect(selectorOf(element)).toBe(selector);
  expect([...document.querySelectorAll(selector)]).toEqual([element]);
});

test.each([
  ['<p>Name: Bramble</p>', 'Bramble'],
  ['<p>  Bramble\n the   otter </p>', 'Bramble the otter'],
  ['<p>At 10:30</p>', 'At 10:30'],
  ['<input value="OT-311">', 'OT-311'],
  [`<p>${'x'.repeat(500)}</p>`, 'x'.repeat(200)],
])('%s says %s', (html, words) => {
  onPage(html);
  expect(wordsAt(document.body.firstElementChild!)).toBe(words);
});

test('details are read where their card says, days as days; what is not there is left out', () => {
  onPage();
  expect(
    found([
      { path: 'name', at: '#summary > dd:nth-of-type(1)' },
      { path: 'born', at: 'div > p' },
      { path: 'number', at: '#gone' },
    ]),
  ).toEqual([
    ['name', { kind: 'text', text: 'Bramble' }],
    ['born', { kind: 'date', date: '2026-05-03' }],
  ]);
});

test('where none of them is there, or a selector is none, there is nothing to fill from', () => {
  onPage();
  expect(found([{ path: 'name', at: '#gone' }])).toBeNull();
  expect(found([{ path: 'name', at: '###' }])).toBeNull();
  // A day that cannot be read is not taken as words.
  expect(found([{ path: 'born', at: 'h1' }])).toBeNull();
});

test('what can be pointed at says something of its own; passwords and scripts are none of it', () => {
  onPage();
  // Nothing is laid out here: everything counts as seen.
  Element.prototype.getClientRects = () => [{}] as unknown as DOMRectList;
  expect(placesOn(document).map((element) => wordsAt(element))).toEqual(
    expect.arrayContaining(['Records', 'Bramble', 'OT-311', '3 May 2026', 'otter']),
  );
  expect(placesOn(document).some((element) => element instanceof HTMLScriptElement)).toBe(false);
  expect(placesOn(document).some((element) => (element as HTMLInputElement).type === 'password')).toBe(false);
});
