import { expect, jest, test } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/react';
import type { Passage } from '#core/passage';
import { Reading } from './Reading';

// The browser of the tests draws nothing that could be rolled into view.
Element.prototype.scrollIntoView = () => undefined;

const passage: Passage = {
  type: 'doc',
  content: [
    {
      type: 'box',
      attrs: { name: 'Subject' },
      content: [{ type: 'paragraph', content: [{ type: 'text', text: 'Your visit' }] }],
    },
    {
      type: 'paragraph',
      content: [
        { type: 'text', text: 'See ' },
        {
          type: 'text',
          text: 'the map',
          marks: [{ type: 'link', attrs: { href: 'https://hollin.example/map' } }, { type: 'bold' }],
        },
        {
          type: 'blank',
          attrs: { field: 'day', form: 'as-is', placement: 'p', text: '', state: 'gap', dropped: 'none' },
        },
        {
          type: 'blank',
          attrs: { field: 'day', form: 'silent', placement: 'p', text: 'x', state: 'gap', dropped: 'none' },
        },
      ],
    },
  ],
};

test('all of a wording is read: its boxes too, links without leading away, and a blank leads to its question', () => {
  const goTo = jest.fn();
  const fields = [{ id: 'day', name: 'day of the visit', kind: 'text' as const, required: true } as never];
  render(<Reading passage={passage} fields={fields} current="day" goTo={goTo} />);
  expect(screen.getByText('Your visit')).toBeTruthy();
  expect(screen.getByText('the map').tagName).toBe('STRONG');
  expect(screen.queryByRole('link')).toBeNull();
  const [blank, ...more] = screen.getAllByText('day of the visit');
  expect(more).toEqual([]);
  expect(blank!.parentElement!.classList.contains('current')).toBe(true);
  fireEvent.mouseDown(blank!);
  expect(goTo).toHaveBeenCalledWith('day');
});
