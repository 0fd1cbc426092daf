import fc from 'fast-check';
import type { Answer, Answers } from '#core/draft';
import type { Field } from '#core/entry';

const words = fc.oneof(
  fc.constantFrom('', ' ', 'a b', 'it. ', ', ', '\n', '{Name}', '512 g', '0'),
  fc.string(),
);
const day = fc.constantFrom('2024-02-29', '2026-03-31', '1999-12-01', '0001-01-01', '9999-12-31');
const number = fc.oneof(fc.integer(), fc.double({ noNaN: true, noDefaultInfinity: true }));

const anyAnswer = (ids: readonly string[]): fc.Arbitrary<Answer> =>
  fc.oneof(
    fc.record({ kind: fc.constant('text' as const), text: words }),
    fc.record({ kind: fc.constant('chosen' as const), options: fc.subarray([...ids, 'gone']), other: words }),
    fc.record({ kind: fc.constant('date' as const), date: day }),
    fc.record({ kind: fc.constant('time' as const), time: fc.constantFrom('00:00', '14:05') }),
    fc.record({ kind: fc.constant('number' as const), value: number }),
    fc.record({ kind: fc.constant('yes-no' as const), yes: fc.boolean() }),
    fc.record({
      kind: fc.constant('person' as const),
      person: fc.constantFrom('he' as const, 'she' as const, 'they' as const, 'it' as const),
      known: fc.boolean(),
    }),
    fc.record({ kind: fc.constant('alternate' as const), index: fc.nat(49) }),
    fc.record({
      kind: fc.constant('detail' as const),
      value: fc.oneof(
        fc.record({ kind: fc.constant('text' as const), text: words }),
        fc.record({ kind: fc.constant('date' as const), date: day }),
        fc.record({ kind: fc.constant('quantity' as const), value: number, unit: fc.constantFrom('g', '') }),
        fc.record({ kind: fc.constant('list' as const), items: fc.array(words, { maxLength: 3 }) }),
      ),
      source: fc.constant('a test'),
      asOf: fc.option(day),
    }),
  );

const idsOf = (field: Field) => (field.kind === 'choice' ? field.options.map(({ id }) => id) : []);

/** Answers to some of the fields, right ones and ones that the field could never hold. */
export const anyAnswers = (fields: readonly Field[]): fc.Arbitrary<Answers> =>
  fc
    .tuple(...fields.map((field) => fc.option(anyAnswer(idsOf(field)))))
    .map((answers) =>
      Object.fromEntries(fields.flatMap(({ id }, at) => (answers[at] ? [[id, answers[at]] as const] : []))),
    );
