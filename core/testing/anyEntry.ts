import fc from 'fast-check';
import {
  STEPS,
  MEASURES,
  WRITER_DETAILS,
  COMMENT_COUNTS,
  PLAIN_SIGNS,
  type Calculation,
  type CommentUse,
  type Condition,
  type EntryContent,
  type Field,
  type Sign,
} from '#core/entry';
import { JOINS } from '#core/passage';
import { anyPassage } from './anyPassage';
import { someWords, words } from './anyWords';

/** Names are without spaces at their ends, as the schema has it. */
const name = words.map((text) => text.trim().slice(0, 40).trim()).filter((text) => text !== '');
const decimal = fc.integer({ min: -99_999, max: 99_999 }).map((value) => value / 100 || 0);
const day = fc.constantFrom('2024-02-29', '2026-03-31', '1999-12-01');

const idOf = (at: number) => (at % 3 === 0 ? `f${at}` : `field ${at}: "x"`);

function calculation(ids: readonly string[]): fc.Arbitrary<Calculation> {
  const field = fc.constantFrom(...ids).map((id) => ({ field: id }));
  const dayRef = fc.oneof(field, fc.constant('today' as const));
  const amount = fc.oneof(field, decimal);
  const positive = fc.option(fc.integer({ min: 1, max: 500 }).map((value) => value / 10));
  const step = fc.constantFrom(...STEPS);
  return fc.oneof(
    fc.record({ by: fc.constant('formula' as const), formula: words }),
    fc.record({ by: fc.constant('moved' as const), from: dayRef, count: amount, step }),
    fc.record({ by: fc.constant('between' as const), from: dayRef, to: dayRef, step }),
    fc.record({ by: fc.constant('age' as const), born: dayRef, at: dayRef }),
    fc.record({
      by: fc.constant('change' as const),
      first: amount,
      last: amount,
      as: fc.constantFrom('amount' as const, 'percent' as const),
    }),
    fc.record({
      by: fc.constant('dose' as const),
      weight: amount,
      perKilogram: amount,
      step: positive,
      most: positive,
    }),
  );
}

const option = (at: number) =>
  fc.record({
    id: fc.constant(at % 2 ? `o${at}` : `option ${at};`),
    label: name,
    words: fc.option(words),
  });

const options = fc
  .integer({ min: 1, max: 4 })
  .chain((count) => fc.tuple(...Array.from({ length: count }, (_, at) => option(at))));

const maybe = <K extends string, T>(key: K, value: fc.Arbitrary<T>) =>
  fc
    .option(value, { nil: undefined })
    .map((found) => (found === undefined ? {} : { [key]: found })) as fc.Arbitrary<{ [key in K]?: T }>;

const both = <A extends object, B extends object>(a: fc.Arbitrary<A>, b: fc.Arbitrary<B>) =>
  fc.tuple(a, b).map(([x, y]) => ({ ...x, ...y }));

/** What a field of each kind holds besides what all of them share. */
function own(ids: readonly string[]): fc.Arbitrary<object> {
  const kind = <K extends Field['kind']>(one: K) => fc.constant(one);
  const decimals = fc.option(fc.integer({ min: 0, max: 6 }));
  return fc.oneof(
    both(fc.record({ kind: kind('text'), starting: words }), maybe('long', fc.constant(true))),
    options.chain((some) =>
      both(
        both(
          fc.record({
            kind: kind('choice'),
            many: fc.boolean(),
            join: fc.constantFrom('and', 'or', 'lines'),
            options: fc.constant(some),
          }),
          both(maybe('other', fc.constant(true)), maybe('none', words)),
        ),
        maybe(
          'starting',
          fc.subarray(
            some.map(({ id }) => id),
            { minLength: 1 },
          ),
        ),
      ),
    ),
    fc.record({ kind: kind('detail'), path: fc.constantFrom('name', 'weight on admission', 'medicines') }),
    fc.record({ kind: kind('date'), starting: fc.constantFrom('none', 'today') }),
    both(fc.record({ kind: kind('time') }), maybe('starting', fc.constant('now'))),
    both(
      fc.record({
        kind: kind('number'),
        unit: fc.constantFrom('', 'kg', 'dose|doses', '%'),
        min: fc.option(decimal.filter((value) => value <= 0)),
        max: fc.option(decimal.filter((value) => value >= 0)),
        decimals,
      }),
      maybe('starting', decimal),
    ),
    both(fc.record({ kind: kind('yes-no'), yes: words, no: words }), maybe('starting', fc.boolean())),
    fc.record({ kind: kind('person') }),
    fc.record({ kind: kind('writer'), detail: fc.constantFrom(...WRITER_DETAILS) }),
    fc.record({
      kind: kind('computed'),
      calculation: calculation(ids),
      unit: fc.constantFrom('', 'mg'),
      decimals,
    }),
    fc.record({
      kind: kind('alternates'),
      by: fc.constantFrom('turn', 'time'),
      alternates: fc.array(both(fc.record({ words }), maybe('until', fc.constantFrom('12:00', '09:30'))), {
        minLength: 1,
        maxLength: 3,
      }),
    }),
  );
}

const anyFields = fc.integer({ min: 1, max: 6 }).chain((count) => {
  const ids = Array.from({ length: count }, (_, at) => idOf(at));
  const one = (id: string) =>
    both(
      both(
        fc.record({ id: fc.constant(id), name, question: words, hint: words, required: fc.boolean() }),
        maybe('offerLast', fc.constant(true)),
      ),
      own(ids),
    );
  return fc.tuple(...ids.map(one)).map((fields) => fields as Field[]);
});

function condition(fields: readonly Field[], depth: number): fc.Arbitrary<Condition> {
  const field = fc.constantFrom(...fields);
  const value = (of: Field) =>
    of.kind === 'choice' ? fc.oneof(fc.constantFrom(...of.options.map(({ id }) => id)), words) : words;
  const simple: fc.Arbitrary<Condition> = field.chain((of) =>
    fc.oneof(
      value(of).map((is): Condition => ({ test: 'is', field: of.id, value: is })),
      value(of).map((is): Condition => ({ test: 'is-not', field: of.id, value: is })),
      fc.constantFrom<Condition>({ test: 'answered', field: of.id }, { test: 'unanswered', field: of.id }),
      fc
        .tuple(fc.constantFrom(...MEASURES), fc.oneof(decimal, day))
        .map(([test, limit]): Condition => ({ test, field: of.id, value: limit })),
    ),
  );
  if (depth === 0) return simple;
  const inner = condition(fields, depth - 1);
  return fc.oneof(
    { weight: 3, arbitrary: simple },
    {
      weight: 1,
      arbitrary: fc.record({
        test: fc.constantFrom('all' as const, 'any' as const),
        of: fc.array(inner, { minLength: 1, maxLength: 3 }),
      }),
    },
  );
}

const anySign: fc.Arbitrary<Sign> = fc.oneof(
  fc.record({
    kind: fc.constant('words' as const),
    words: fc
      .array(name, { minLength: 1, maxLength: 3 })
      .map((all) => all.map((one) => one.slice(0, 80).trim())),
  }),
  fc.record({
    kind: fc.constant('pattern' as const),
    pattern: fc.constantFrom('very', '(?i)\\bvery\\b', ' a: "b" ', '#x'),
  }),
  fc.record({
    kind: fc.constantFrom('long-paragraph' as const, 'long-sentence' as const),
    most: fc.integer({ min: 1, max: 5000 }),
  }),
  fc.record({ kind: fc.constantFrom(...PLAIN_SIGNS) }),
);

const anyCommentUse: fc.Arbitrary<CommentUse> = fc
  .record({
    criterion: fc.oneof(
      fc.constant(''),
      name.map((one) => one.slice(0, 80).trim()),
    ),
    counts: fc.constantFrom(undefined, ...COMMENT_COUNTS),
    signs: fc.array(anySign, { maxLength: 3 }),
  })
  .map(({ criterion, counts, signs }) => ({
    criterion,
    ...(counts && { counts }),
    ...(signs.length > 0 && { signs }),
  }));

/** Any entry that may be kept: fields of every kind, conditions, wordings in parts with all that may stand in them. */
export const anyEntry: fc.Arbitrary<EntryContent> = anyFields.chain((fields) =>
  fc.integer({ min: 0, max: 3 }).chain((count) => {
    const ids = Array.from({ length: count }, (_, at) => (at === 1 ? 'c 1: [x]' : `c${at}`));
    const part = (id: string) =>
      fc.record({
        id: fc.constant(id),
        name: words.map((text) => text.slice(0, 60)),
        passage: anyPassage({ fields, conditions: ids }),
      });
    const wording = (id: string) =>
      fc
        .record({
          id: fc.constant(id),
          name: someWords.map((text) => text.slice(0, 60)),
          language: fc.constantFrom('en-GB', 'cy', 'de'),
          joins: fc.constantFrom(undefined, undefined, ...JOINS),
          short: fc.constantFrom<true | undefined>(undefined, undefined, true),
          onPage: fc.constantFrom(undefined, undefined, 'chat.example', 'works.example:8080/chat'),
          parts: fc.oneof(fc.tuple(part('text')), fc.tuple(part('subject'), part('message'))),
        })
        .map(({ joins, short, onPage, ...wording }) => ({
          ...wording,
          ...(joins && { joins }),
          ...(short && { short }),
          ...(onPage && { onPage }),
        }));
    const conditions = fc.tuple(...ids.map((id) => condition(fields, 2).map((when) => ({ id, when }))));
    return fc
      .record({
        version: fc.constant(1 as const),
        title: name,
        purpose: words,
        note: words,
        tags: fc.array(name, { maxLength: 2 }),
        cues: fc.constantFrom<EntryContent['cues']>(
          [],
          [{ text: 'dis' }],
          [{ as: 'keys', text: 'Alt+G h' }],
          [{ as: 'pattern', text: 'fed (?P<Amount>\\d+) ?g', rules: { letters: 'exact' } }],
          [{ text: ': "x', rules: { fires: 'last', closers: ['space', 'tab'], keepCloser: false } }],
        ),
        fields: fc.constant(fields),
        conditions,
        wordings: fc.oneof(fc.tuple(wording('main')), fc.tuple(wording('main'), wording('cy'))),
        retired: fc.boolean(),
        comment: fc.option(anyCommentUse, { nil: undefined }),
        files: fc.constantFrom<NonNullable<EntryContent['files']>>(
          [],
          [
            {
              hash: 'a'.repeat(64),
              name: 'First aid: hedgehogs.pdf',
              media: 'application/pdf',
              bytes: 20_480,
            },
          ],
          [
            { hash: 'b'.repeat(64), name: '"map" {2}.png', media: 'image/png', bytes: 0 },
            { hash: 'c'.repeat(64), name: 'round.ogg', media: 'audio/ogg; codecs=opus', bytes: 7 },
          ],
        ),
      })
      .map(({ conditions: some, retired, files, comment, ...content }) => ({
        ...content,
        ...(comment && { comment }),
        ...(files.length > 0 && { files }),
        ...(some.length > 0 && { conditions: some }),
        ...(retired && { retired }),
      }));
  }),
);
