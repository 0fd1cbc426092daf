import { expect, test } from '@jest/globals';
import type { Inline } from '#core/passage';
import { leafDoc } from '../../testing/leafState';
import { unseenIn } from './shownSpaces';

const text = (words: string, isBold = false): Inline => ({
  type: 'text',
  text: words,
  ...(isBold ? { marks: [{ type: 'bold' as const }] } : {}),
});
const line: Inline = { type: 'hardBreak' };
const blank: Inline = {
  type: 'blank',
  attrs: { field: 'f', form: 'as-is', placement: null, text: '', state: 'gap', dropped: 'none' },
};

/** The signs of a paragraph, each with its place in it. */
const signs = (...content: Inline[]) => {
  const block = leafDoc({ type: 'doc', content: [{ type: 'paragraph', content }] }).firstChild!;
  return unseenIn(block).map(({ at, sign }) => `${at}${sign}`);
};

test.each<[string, Inline[], string[]]>([
  ['a space between words is seen', [text('It ate'), blank, text(' well.')], []],
  ['two in a row are not', [text('It  ate')], ['2·', '3·']],
  ['nor two of which one is bold', [text('It '), text(' ate', true)], ['2·', '3·']],
  ['at an end', [text('It ate ')], ['6·']],
  ['at a beginning', [text(' It')], ['0·']],
  ['before a line break', [text('It ate '), line, text('well')], ['6·']],
  ['after a line break', [text('It'), line, text(' ate')], ['3·']],
  ['between a blank and an end', [blank, text(' ')], ['1·']],
  ['a tab and a space that does not break', [text('a\tb\u00a0c')], ['1→', '3⍽']],
])('%s', (_what, content, expected) => {
  expect(signs(...content)).toEqual(expected);
});
