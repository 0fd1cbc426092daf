import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkEntry, type EntryContent } from '#core/entry';
import { fillWording } from '#core/fill';
import { readEntry, writeEntry } from '#core/notation';
import { plainText } from '#core/passage';
import { emptyRecord } from '#core/record';
import { pieceOf, SharedEnds, withPiece, type SharedEnd, type Whole } from './index';

const FIELDS = 'field Name: detail name\n\nfield Food: text\n\n';
let made = 0;
function whole(text: string, collection = 'c', language = 'en-GB'): Whole {
  const used = FIELDS.split('\n\n').filter((one) => text.includes(`{${one.split(/[ :]/)[1]}}`));
  const source = `title: T${(made += 1)}\n\n${used.map((one) => `${one}\n\n`).join('')}== wording Main: ${language}\n\n${text}`;
  const read = readEntry(source);
  if (!read.ok) throw new Error(JSON.stringify(read));
  return { id: `e${made}`, collection, content: read.value };
}
const shared = (wholes: readonly Whole[]): SharedEnd[] => {
  const ends = new SharedEnds();
  for (const one of wholes) ends.add(one);
  return ends.all();
};
const told = (wholes: readonly Whole[]) =>
  shared(wholes).map(({ kind, at, piece, blocks }) => ({
    kind,
    of: at.length,
    piece: piece !== null,
    text: plainText({ type: 'doc', content: blocks }).split('\n').filter(Boolean),
  }));

const OPEN = 'Dear {Name},\n\nThank you for ringing.';
const END = 'With kind regards.';
const letters = ['Keep it warm.', 'Leave it be.', 'Feed it nothing.'].map(
  (body) => `${OPEN}\n\n${body}\n\n${END}`,
);

describe('what several entries begin and end with', () => {
  test('is found as far inwards as all of them share it', () => {
    expect(told(letters.map((one) => whole(one)))).toEqual([
      { kind: 'opening', of: 3, piece: false, text: ['Dear ,', 'Thank you for ringing.'] },
      { kind: 'closing', of: 3, piece: false, text: ['With kind regards.'] },
    ]);
  });

  test('an entry that says just this is the piece; what says it with other details is not the same', () => {
    const closing = letters.map((one) =>
      whole(one.replace('Dear {Name},', 'Hello,').replace('ringing', `${made}`)),
    );
    expect(told([...closing, whole(END)])).toMatchObject([
      { kind: 'opening', text: ['Hello,'] },
      { kind: 'closing', of: 3, piece: true },
    ]);
  });

  test.each([
    ['entries that say nothing else', letters.map(() => whole(END))],
    ['two of them only', letters.slice(1).map((one) => whole(one))],
    ['another collection', letters.map((one, at) => whole(one, `c${at}`))],
    ['another language', letters.map((one, at) => whole(one, 'c', ['en-GB', 'cy', 'ga'][at]))],
    ['asked for', letters.map((_, at) => whole(`Give {Food}.\n\nBody ${at}.`))],
  ])('is not told: %s', (_, wholes) => {
    expect(told(wholes)).toEqual([]);
  });

  test('put in as a piece, every entry reads as before, whatever its blocks', () => {
    const block = fc.constantFrom('Dear {Name},', 'Thank you.', 'Give {Food}.', 'Be well.', '- one\n- two');
    const bodies = fc.array(fc.array(block, { minLength: 1, maxLength: 5 }), { minLength: 3, maxLength: 7 });
    let seen = 0;
    fc.assert(
      fc.property(bodies, (all) => {
        const wholes = all.map((blocks) => whole(blocks.join('\n\n')));
        const byId = new Map(wholes.map((one) => [one.id, one.content]));
        const reads = (content: EntryContent, find: (id: string) => EntryContent | undefined) =>
          plainText(
            fillWording({
              entry: { id: 'x', revision: 1, content },
              answers: {},
              record: emptyRecord(),
              today: '2026-11-26',
              find,
            }),
          );
        for (const end of shared(wholes)) {
          const piece = end.piece === null ? pieceOf(end) : byId.get(end.piece)!;
          expect(checkEntry(piece)).toEqual([]);
          for (const { entry, ...at } of end.at) {
            seen += 1;
            const before = byId.get(entry)!;
            const after = withPiece(before, at, end, 'piece');
            expect(checkEntry(after)).toEqual([]);
            expect(reads(after, () => piece)).toBe(reads(before, () => undefined));
            expect(writeEntry(after)).not.toBe(writeEntry(before));
          }
        }
      }),
      { numRuns: 150 },
    );
    expect(seen).toBeGreaterThan(50);
  });
});
