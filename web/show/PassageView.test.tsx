import { expect, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import type { Passage } from '#core/passage';
import { PassageView } from './PassageView';

const view = (content: Passage['content'], links = true) =>
  render(
    <PassageView passage={{ type: 'doc', content }} nameOf={(field) => `${field} of it`} links={links} />,
  );
const words = (text: string) => [{ type: 'paragraph' as const, content: [{ type: 'text' as const, text }] }];

test('cells of a table are as wide and high as they are said to be', () => {
  view([
    {
      type: 'table',
      content: [
        {
          type: 'tableRow',
          content: [{ type: 'tableHeader', attrs: { colspan: 2, rowspan: 1 }, content: words('Levels') }],
        },
        {
          type: 'tableRow',
          content: [
            { type: 'tableCell', attrs: { colspan: 1, rowspan: 3 }, content: words('secure') },
            { type: 'tableCell', content: words('two') },
          ],
        },
      ],
    },
  ]);
  const head = screen.getByRole('columnheader', { name: 'Levels' });
  expect(head.getAttribute('colspan')).toBe('2');
  expect(head.getAttribute('rowspan')).toBeNull();
  expect(screen.getByRole('cell', { name: 'secure' }).getAttribute('rowspan')).toBe('3');
  expect(screen.getByRole('cell', { name: 'two' }).hasAttribute('colspan')).toBe(false);
});

test('a list begins where it says, and a link leads away only where links are followed', () => {
  const content: Passage['content'] = [
    { type: 'orderedList', attrs: { start: 4 }, content: [{ type: 'listItem', content: words('fourth') }] },
    {
      type: 'paragraph',
      content: [
        {
          type: 'text',
          text: 'the map',
          marks: [{ type: 'link', attrs: { href: 'https://hollin.example/map' } }],
        },
      ],
    },
  ];
  const { unmount } = view(content);
  expect(screen.getByRole('list').getAttribute('start')).toBe('4');
  expect(screen.getByRole('link', { name: 'the map' }).getAttribute('href')).toBe(
    'https://hollin.example/map',
  );
  unmount();
  view(content, false);
  expect(screen.queryByRole('link')).toBeNull();
  expect(screen.getByText('the map').tagName).toBe('U');
});

test('blanks of a wording carry their names, placed ones what was answered', () => {
  const attrs = { field: 'weight', form: 'as-is', text: '', state: 'gap', dropped: 'none' } as const;
  view([
    {
      type: 'paragraph',
      content: [
        { type: 'blank', attrs: { ...attrs, placement: null } },
        { type: 'blank', attrs: { ...attrs, placement: 'p', text: '4.1 kg', state: 'answered' } },
        { type: 'timeCode', attrs: { at: null, unclear: false, text: '' } },
      ],
    },
  ]);
  expect(screen.getByTitle('weight of it').textContent).toContain('weight of it');
  expect(screen.getByText('4.1 kg').nextElementSibling?.textContent).toBe('weight of it');
  expect(screen.getByText('time')).toBeTruthy();
});
