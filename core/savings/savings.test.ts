import { expect, test } from '@jest/globals';
import { newEntry } from '#core/entry';
import { place } from '#core/fill';
import { passageFrom, readEntry } from '#core/notation';
import { emptyRecord } from '#core/record';
import { shownByPlacement } from '.';

test('what a reader sees of each placement is counted, answers with it, gaps and hand-written words without', () => {
  const read = readEntry('title: Fed\nfield Food: text\n== wording Main\nGiven {Food}.');
  if (!read.ok) throw new Error('unread');
  const request = { record: emptyRecord(), today: '2026-11-25', cue: null };
  const placed = (id: string, answers = {}) =>
    place({ ...request, entry: { id, revision: 1, content: read.value }, id, answers }).passage.content;
  const [field] = read.value.fields;
  const content = [
    ...passageFrom('By hand.').content,
    ...placed('open'),
    ...placed('done', { [field!.id]: { kind: 'text', text: 'éclair 😀' } }),
  ];
  const plain = place({
    ...request,
    entry: { id: 'x', revision: 1, content: newEntry('x', 'en-GB', passageFrom('Twelve chars')) },
    id: 'plain',
  });
  const shown = shownByPlacement({
    type: 'doc',
    attrs: { placements: {} },
    content: [...content, ...plain.passage.content],
  });
  expect(Object.fromEntries(shown)).toEqual({
    open: 'Given .'.length,
    done: 'Given éclair x.'.length,
    plain: 12,
  });
});
