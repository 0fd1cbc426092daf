import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { DraftDocument } from '#core/draft';
import { MarkingOnSchema, type Block } from '#core/passage';
import { leadFrom, leadLines } from './leads';
import { markingList, markingsOut } from './takeAway';

const box = (id: string, page: number, words: string, look: object = {}): Block => ({
  type: 'box',
  attrs: { name: 'Marking', marking: MarkingOnSchema.parse({ id, page, at: { x: 10, y: 20 }, ...look }) },
  content: [{ type: 'paragraph', ...(words && { content: [{ type: 'text', text: words }] }) }],
});
const draft = (...content: Block[]): DraftDocument => ({ type: 'doc', attrs: { placements: {} }, content });
const WHEN = '2026-11-30T10:00:00.000Z';

const sizeOf = (page: number) =>
  Promise.resolve(page === 0 ? { width: 595, height: 842 } : { width: 4004, height: 1001 });

test('markings go out with their place and look; one without words does not', async () => {
  const out = await markingsOut(
    draft(
      box('a', 0, 'fire door', { size: 'large', colour: 'leaf', framed: true }),
      box('b', 1, ''),
      box('c', 1, 'on a map', { lead: { to: { x: 10, y: 400 }, as: 'arrow' } }),
    ),
    sizeOf,
    'Imke Tarrow',
    WHEN,
  );
  expect(out[0]).toEqual({
    ...{
      page: 0,
      at: { x: 10, y: 20 },
      lines: ['fire door'],
      points: 15,
      framed: true,
      leads: [],
      answers: null,
      unit: 1,
    },
    ...{ colour: [0.247, 0.42, 0.275], author: 'Imke Tarrow', writtenAt: WHEN },
  });
  // On a large page all is larger.
  expect(out).toHaveLength(2);
  expect(out[1]).toMatchObject({ points: 22, unit: 2 });
  expect(out[1]!.leads).toEqual(leadLines({ x: 6, y: 20 + 0.65 * 22 }, { x: 10, y: 400 }, 'arrow', 2));
});

test('the list is by pages where there are several, each marking on a line', () => {
  expect(markingList(draft(box('a', 0, 'one'), box('b', 0, 'two')))).toBe('one\ntwo\n');
  expect(markingList(draft(box('a', 0, 'one'), box('b', 2, 'two'), box('c', 2, '')))).toBe(
    'Page 1\none\n\nPage 3\ntwo\n',
  );
});

const point = fc.record({ x: fc.integer({ min: -500, max: 500 }), y: fc.integer({ min: -500, max: 500 }) });

test('an arrow ends where it was led to, its head behind that; a bracket hooks both ends', () => {
  fc.assert(
    fc.property(point, point, (from, to) => {
      const [line, head] = leadLines(from, to, 'arrow');
      expect(line).toEqual([from, to]);
      expect(head![1]).toEqual(to);
      const far = Math.hypot(to.x - from.x, to.y - from.y);
      for (const side of [head![0]!, head![2]!]) {
        expect(Number.isFinite(side.x + side.y)).toBe(true);
        if (far > 10) expect(Math.hypot(side.x - from.x, side.y - from.y)).toBeLessThan(far);
      }
      const [bracket] = leadLines(from, to, 'bracket');
      expect(bracket!.slice(1, 3)).toEqual([from, to]);
    }),
  );
  const at = leadFrom({ at: { x: 10, y: 20 }, size: 'medium' });
  expect([at.x < 10, at.y > 20]).toEqual([true, true]);
});
