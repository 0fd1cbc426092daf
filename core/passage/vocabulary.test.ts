import { expect, test } from '@jest/globals';
import { BLOCKS } from './blocks';
import type { z } from 'zod';
import { INLINES, wordsOfInline, type Inline } from './inlines';
import { isLine } from './lines';
import { lookOf, MARKS, seenMarks, type Mark } from './marks';
import { PassageSchema } from './passage';

test('each row of the tables takes what it is named after, and no other', () => {
  for (const table of [MARKS, INLINES, BLOCKS])
    for (const [name, { schema }] of Object.entries<{ schema: z.ZodType }>(table)) {
      const faults = schema.safeParse({ type: 'something else' }).error?.issues ?? [];
      expect(faults.map(({ path }) => path[0])).toContain('type');
      // It may want more than its name, but not another one.
      const own = schema.safeParse({ type: name }).error?.issues ?? [];
      expect(own.map(({ path }) => path[0])).not.toContain('type');
    }
});

test('an inline that cannot be torn apart is whole with what its row says it carries', () => {
  const wanted: Record<string, object> = {
    blank: { field: 'weight' },
    include: { entry: 'handling' },
    number: { list: 'Findings' },
    folded: { content: [{ type: 'text', text: 'and well' }] },
  };
  for (const [type, { carries }] of Object.entries(INLINES)) {
    if (!carries) continue;
    const inline = { type, attrs: { ...carries, ...wanted[type] } };
    const document = { type: 'doc', content: [{ type: 'paragraph', content: [inline] }] };
    expect(PassageSchema.safeParse(document).error?.issues).toBeUndefined();
    expect(wordsOfInline(inline as Inline)).toBe('');
  }
});

test('what a block holds is what its schema takes', () => {
  for (const [type, { holds }] of Object.entries(BLOCKS)) {
    const line = {
      type,
      attrs: { name: 'Subject', speaker: 's1', level: 2 },
      content: [{ type: 'text', text: 'x' }],
    };
    const takesWords = PassageSchema.safeParse({ type: 'doc', content: [line] }).success;
    expect([type, takesWords]).toEqual([type, holds !== 'blocks']);
    expect(isLine({ type } as never)).toBe(holds === 'line');
  }
});

test('readers see how words look, never where they came from', () => {
  const all: Mark[] = [
    { type: 'placed', attrs: { placement: 'p' } },
    { type: 'bold' },
    { type: 'when', attrs: { condition: 'c', placement: 'p' } },
    { type: 'strike' },
    { type: 'underline' },
    { type: 'heard', attrs: { at: 0 } },
    { type: 'confirmed' },
  ];
  expect(seenMarks(all)).toEqual([{ type: 'bold' }, { type: 'strike' }, { type: 'underline' }]);
  expect(seenMarks(undefined)).toEqual([]);
  expect(lookOf(all)).toEqual({ bold: true, struck: true, underlined: true });
  expect(lookOf(undefined)).toEqual({});
});
