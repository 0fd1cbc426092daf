import { expect, test } from '@jest/globals';
import type { DraftDocument } from '#core/draft';
import { readEntry } from '#core/notation';
import { mapLines, plainText, type Inline } from '#core/passage';
import { emptyRecord, type CaseRecord } from '#core/record';
import { BY_HAND, copiedDraft, gapsOf, place, refillPassage } from '.';

const recordOf = (name: string, ward: string | null): CaseRecord => ({
  ...emptyRecord(),
  details: [
    { path: 'name', value: { kind: 'text', text: name }, source: 'Patient', asOf: null },
    ...(ward
      ? [{ path: 'ward', value: { kind: 'text', text: ward } as const, source: 'Patient', asOf: null }]
      : []),
  ],
});

const entry = readEntry(
  [
    'title: A',
    'field Name: detail name',
    'field Ward: detail ward',
    'field Said: text',
    '== wording Main',
    '{Name} in {Ward}: {Said}. [confirm: Wounds are dry.]',
  ].join('\n'),
);
if (!entry.ok) throw new Error(JSON.stringify(entry.error));

const confirmed = (inline: Inline): Inline => ({
  ...inline,
  marks: inline.marks?.map((mark) => (mark.type === 'confirm' ? { type: 'confirmed' } : mark)),
});

/** A finished note of one day: answered, and its statement confirmed. */
function noteOf(day: string): DraftDocument {
  const request = {
    entry: { id: 'a', revision: 1, content: entry.ok ? entry.value : never() },
    cue: null,
    id: 'p',
  };
  const { passage, placement } = place({ ...request, today: day, record: recordOf('Bramble', 'Two') });
  const answers = { ...placement.answers, said: { kind: 'text', text: 'ate well' } as const };
  const placements = { p: { ...placement, answers, offered: answers } };
  const filled = refillPassage(
    mapLines(passage, (line) => line.map(confirmed)),
    placements,
  );
  return { ...filled, type: 'doc', attrs: { placements } };
}
const never = (): never => {
  throw new Error('not read');
};

const note = noteOf('2026-11-24');
const copyOn = (record: CaseRecord, of = note) => copiedDraft(of, { record, today: '2026-11-27' });

test('what was written and answered stays; what the record says is asked of the record as it is now', () => {
  expect(plainText(note)).toBe('Bramble in Two: ate well. Wounds are dry.');
  expect(gapsOf(note)).toEqual([]);
  const copy = copyOn(recordOf('Bramble', 'Three'));
  expect(plainText(copy)).toBe('Bramble in Three: ate well. Wounds are dry.');
  expect(copy.attrs.placements.p).toMatchObject({ day: '2026-11-27' });
  expect(copy.attrs.placements.p).not.toHaveProperty('offered');
});

test('what the record says no more is not said again', () => {
  expect(plainText(copyOn(recordOf('Bramble', null)))).not.toContain('Two');
});

test('what was typed over stays as it was typed', () => {
  const { p } = note.attrs.placements;
  const value = { kind: 'text', text: 'the shed' } as const;
  const answers = { ...p!.answers, ward: { kind: 'detail', value, source: BY_HAND, asOf: null } as const };
  const typed = { ...note, attrs: { placements: { p: { ...p!, answers } } } };
  expect(plainText(copyOn(recordOf('Bramble', 'Three'), typed))).toContain('in the shed:');
});

test('a statement that was confirmed wants confirming again, also where it is folded away', () => {
  const gaps = gapsOf(copyOn(recordOf('Bramble', 'Two')));
  expect(gaps.map(({ kind, question }) => [kind, question])).toEqual([['confirm', 'Wounds are dry.']]);
  const line = note.content[0]!;
  if (!('content' in line)) throw new Error('no line');
  const inside = (line.content as Inline[]).filter(({ type }) => type === 'text');
  const attrs = { condition: 'c', placement: 'p', content: inside, dropped: 'none' as const };
  const folded = { ...note, content: [{ ...line, content: [{ type: 'folded', attrs }] }] } as DraftDocument;
  const json = JSON.stringify(copyOn(recordOf('Bramble', 'Two'), folded));
  expect(json).toContain('"confirm"');
  expect(json).not.toContain('"confirmed"');
});
