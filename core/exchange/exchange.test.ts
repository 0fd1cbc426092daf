import { describe, expect, test } from '@jest/globals';

import type { Passage } from '#core/passage';
import { toHtml, toMarkdown } from './index';
import { passageFrom } from '#core/notation';

describe('a passage in open formats', () => {
  const passage: Passage = {
    type: 'doc',
    content: [
      { type: 'heading', attrs: { level: 2 }, content: [{ type: 'text', text: 'Day 1 <b>' }] },
      ...passageFrom('**Plan:** rest & *care*.\nThen out.\n\n- one\n- two').content,
      {
        type: 'table',
        content: [
          {
            type: 'tableRow',
            content: ['a|b', 'c'].map((text) => ({
              type: 'tableCell' as const,
              content: [{ type: 'paragraph' as const, content: [{ type: 'text' as const, text }] }],
            })),
          },
        ],
      },
    ],
  };

  test('HTML escapes every text', () => {
    expect(toHtml(passage)).toBe(
      '<h2>Day 1 &lt;b&gt;</h2><p><strong>Plan:</strong> rest &amp; *care*.<br>Then out.</p>' +
        '<ul><li><p>one</p></li><li><p>two</p></li></ul><table><tbody><tr><td><p>a|b</p></td><td><p>c</p></td></tr></tbody></table>',
    );
  });

  test('Markdown escapes what would be taken for marks', () => {
    expect(toMarkdown(passage)).toMatchSnapshot();
  });
});
