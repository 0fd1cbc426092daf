import { expect, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { TagsField, tagsOf } from './TagsField';

test.each([
  ['wound, daily', ['wound', 'daily']],
  [' wound ,, wound,', ['wound']],
  ['two   words', ['two words']],
  ['', []],
  ['x'.repeat(70), ['x'.repeat(60)]],
])('“%s” is the tags %j', (written, tags) => expect(tagsOf(written)).toEqual(tags));

function Held() {
  const [tags, setTags] = useState(['wound']);
  return (
    <>
      <TagsField tags={tags} put={setTags} />
      <button type="button" onClick={() => setTags(['care'])}>
        Changed elsewhere
      </button>
      <output>{tags.join('|')}</output>
    </>
  );
}

test('what is typed stands as typed, and what is changed elsewhere is shown', async () => {
  render(<Held />);
  const field = screen.getByRole('textbox');
  await userEvent.type(field, ', daily,');
  expect(field).toHaveProperty('value', 'wound, daily,');
  expect(screen.getByRole('status').textContent).toBe('wound|daily');
  await userEvent.click(screen.getByRole('button'));
  expect(field).toHaveProperty('value', 'care');
});
