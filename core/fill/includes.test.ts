import { describe, expect, test } from '@jest/globals';
import { DraftDocumentSchema } from '#core/draft';
import { FieldSchema, newEntry, type EntryContent } from '#core/entry';
import { linesOf, plainText, type Inline } from '#core/passage';
import { emptyRecord } from '#core/record';
import { includedSize, MOST_INCLUDED, place, refillPassage } from '.';
import { withIncludes } from './includes';

const include = (entry: string): Inline => ({ type: 'include', attrs: { entry } });
const entryOf = (content: Inline[]) =>
  newEntry('x', 'en-GB', { type: 'doc', content: [{ type: 'paragraph', content }] });

/** Each of some entries puts the next one in several times. */
const chain = (deep: number, times: number) =>
  Object.fromEntries(
    Array.from({ length: deep }, (_, at) => [
      `e${at}`,
      entryOf(
        at === deep - 1
          ? [{ type: 'text', text: 'End. ' }]
          : Array.from({ length: times }, () => include(`e${at + 1}`)),
      ),
    ]),
  );
const finder = (entries: Record<string, EntryContent>) => (id: string) => entries[id];

describe('entries within entries', () => {
  test('what would come to millions stops at a bound, and its size is told without making it', () => {
    const entries = chain(8, 6);
    const first = entries.e0!;
    const whole = withIncludes(first, first.wordings[0]!, finder(entries));
    const count = linesOf(whole.wordings[0]!.parts[0]!.passage).flat().length;
    expect(count).toBeLessThanOrEqual(MOST_INCLUDED);
    expect(includedSize(first, finder(entries))).toBeGreaterThan(6 ** 7);
    const small = chain(4, 3);
    expect(includedSize(small.e0!, finder(small))).toBe(4 + 3 * (4 + 3 * (4 + 3 * 2)));
    const ring = { e0: entryOf([include('e1')]), e1: entryOf([include('e0')]) };
    expect(includedSize(ring.e0, finder(ring))).toBe(Infinity);
  });

  test('placed eight deep, with ids as long as they may be, the draft can be kept', () => {
    const id = (at: number) => `${at}`.padEnd(36, 'x');
    const entries = Object.fromEntries(
      Array.from({ length: 9 }, (_, at): [string, EntryContent] => {
        const field = `f${at}`.padEnd(60, 'y');
        const when = [{ type: 'when' as const, attrs: { condition: field, placement: null } }];
        const blank: Inline = {
          type: 'blank',
          attrs: { field, form: 'as-is', placement: null, text: '', state: 'gap', dropped: 'none' },
        };
        const number: Inline = { type: 'number', attrs: { list: 'l', form: '1', id: field, text: '' } };
        const content = entryOf([
          number,
          blank,
          { type: 'text', text: ' words', marks: when },
          ...(at < 8 ? [include(id(at + 1))] : []),
        ]);
        return [
          id(at),
          {
            ...content,
            fields: [FieldSchema.parse({ id: field, name: `Field ${at}`, kind: 'text' })],
            conditions: [{ id: field, when: { test: 'answered', field } }],
          },
        ];
      }),
    );
    const entry = { id: id(0), revision: 1, content: entries[id(0)]! };
    const { passage, placement } = place({
      record: emptyRecord(),
      today: '2026-11-26',
      cue: null,
      entry,
      id: 'p',
      find: finder(entries),
    });
    expect(placement.fields).toHaveLength(9);
    const kept = DraftDocumentSchema.safeParse({ ...passage, attrs: { placements: { p: placement } } });
    expect(kept.error?.issues).toBeUndefined();
  });
});

describe('on a page of others', () => {
  const team = newEntry('Night team', 'en-GB', {
    type: 'doc',
    content: [{ type: 'paragraph', content: [{ type: 'text', text: 'the night team' }] }],
  });
  const [first] = team.wordings;
  const mention = {
    type: 'doc' as const,
    content: [{ type: 'paragraph' as const, content: [{ type: 'text' as const, text: '@night' }] }],
  };
  const named = {
    ...team,
    wordings: [
      first!,
      { ...first!, id: 'chat', onPage: 'chat.example', parts: [{ ...first!.parts[0]!, passage: mention }] },
    ],
  };
  const asking = entryOf([
    { type: 'text', text: 'Please ask ' },
    include('team'),
    { type: 'text', text: '.' },
  ]);
  const placedOn = (address: string, missing: string[] = [], content = named) =>
    place({
      entry: { id: 'asking', revision: 1, content: asking },
      find: finder({ team: content }),
      page: { address, isMissing: (id) => missing.includes(id) },
      ...{ id: 'p', cue: null, record: emptyRecord(), today: '2026-11-30' },
    });

  test.each([
    ['chat.example/rooms', 'Please ask @night.'],
    ['mail.example', 'Please ask the night team.'],
  ])('what is named within an entry is written as it is on %s', (address, wanted) => {
    expect(plainText(placedOn(address).passage)).toBe(wanted);
  });

  test('what is missing there is a gap that asks how it is written', () => {
    const { passage, placement } = placedOn('chat.example', ['team'], team);
    expect(
      linesOf(passage)
        .flat()
        .filter((one) => one.type === 'blank' && one.attrs.state === 'gap'),
    ).toHaveLength(1);
    const [field] = placement.fields;
    expect(field).toMatchObject({ kind: 'text', required: true });
    expect(field!.question).toBe('How is “Night team” written on chat.example?');
    const answered = { ...placement, answers: { [field!.id]: { kind: 'text' as const, text: '@nights' } } };
    expect(plainText(refillPassage(passage, { p: answered }))).toBe('Please ask @nights.');
  });
});
