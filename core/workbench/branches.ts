import { addDays, type CalendarDate } from '#core/calendar';
import type { Answer, Answers } from '#core/draft';
import type { Condition, EntryContent, Field } from '#core/entry';
import { PERSONS } from '#core/language';
import { kindOfDetail } from '#core/record';

/** A source of numbers from 0 up to 1, such as `Math.random`; given, so that a sample can be had again. */
export type Random = () => number;

/** Numbers from a seed: mulberry32 (Tommy Ettinger, 2017), small and even enough to sample by. */
export function seeded(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

const simple = (condition: Condition): Exclude<Condition, { of: Condition[] }>[] =>
  'of' in condition ? condition.of.flatMap(simple) : [condition];

/** The limits that conditions compare a field with. */
function limitsOf(field: Field, conditions: readonly Condition[]): (number | string)[] {
  return conditions
    .flatMap(simple)
    .flatMap((one) => (one.field === field.id && 'value' in one ? [one.value] : []));
}

function numbersFor(
  field: Extract<Field, { kind: 'number' }>,
  limits: readonly (number | string)[],
): number[] {
  const around = limits.flatMap((limit) => (typeof limit === 'number' ? [limit - 1, limit, limit + 1] : []));
  const fits = [1, 2, ...around].filter(
    (value) => (field.min === null || value >= field.min) && (field.max === null || value <= field.max),
  );
  return [...new Set(fits.length > 0 ? fits : [field.min ?? field.max ?? 1])];
}

function chosenFor(field: Extract<Field, { kind: 'choice' }>): Answer[] {
  const each = field.options.map(({ id }): Answer => ({ kind: 'chosen', options: [id] }));
  const all: Answer[] =
    field.many && field.options.length > 1
      ? [{ kind: 'chosen', options: field.options.map(({ id }) => id) }]
      : [];
  const none: Answer[] = field.none === undefined ? [] : [{ kind: 'chosen', options: [] }];
  return [...each, ...all, ...none];
}

type DetailAnswer = Extract<Answer, { kind: 'detail' }>;

/** What the record might say instead, on either side of the limits it is compared with. */
function detailsLike(given: DetailAnswer, limits: readonly (number | string)[]): Answer[] {
  const { value } = given;
  return limits.flatMap((limit): Answer[] => {
    if (typeof limit === 'number' && value.kind === 'quantity')
      return [limit - 1, limit + 1].map((one) => ({ ...given, value: { ...value, value: one } }));
    if (typeof limit === 'string' && value.kind === 'text')
      return [{ ...given, value: { kind: 'text', text: limit } }];
    return [];
  });
}

/** What the record might say where this one says nothing, of the kind that the detail is. */
function detailsFor(
  { path, name }: Extract<Field, { kind: 'detail' }>,
  limits: readonly (number | string)[],
  today: CalendarDate,
): Answer[] {
  const known = (value: DetailAnswer['value']): DetailAnswer => ({
    kind: 'detail',
    value,
    source: 'an example',
    asOf: today,
  });
  const asked = (fits: 'number' | 'string') => limits.filter((limit) => typeof limit === fits);
  switch (kindOfDetail(path)) {
    case 'quantity': {
      const sample = known({ kind: 'quantity', value: 400, unit: path === 'days in care' ? 'days' : 'g' });
      return [sample, ...detailsLike(sample, asked('number'))];
    }
    case 'date':
      return [known({ kind: 'date', date: today })];
    case 'list':
      return [known({ kind: 'list', items: ['one thing', 'another'] })];
    default:
      // Its own name stands for what it would say, so that no two read alike.
      return [name.toLocaleLowerCase(), ...asked('string').map(String)].map((text) =>
        known({ kind: 'text', text }),
      );
  }
}

/** Answers that a field may get as far as they can make a difference. */
function answersFor(field: Field, limits: readonly (number | string)[], today: CalendarDate): Answer[] {
  switch (field.kind) {
    case 'choice':
      return chosenFor(field);
    case 'yes-no':
      return [
        { kind: 'yes-no', yes: true },
        { kind: 'yes-no', yes: false },
      ];
    case 'person':
      return PERSONS.map((person) => ({ kind: 'person', person, known: false }));
    case 'number':
      return numbersFor(field, limits).map((value) => ({ kind: 'number', value }));
    case 'date': {
      const days = limits.flatMap((limit) =>
        typeof limit === 'string' && /^\d{4}-/.test(limit) ? [addDays(limit, -1), addDays(limit, 1)] : [],
      );
      return [...new Set([today, ...days])].map((date) => ({ kind: 'date', date }));
    }
    case 'time':
      return [{ kind: 'time', time: '14:05' }];
    case 'alternates':
      return field.alternates.map((_, index) => ({ kind: 'alternate', index }));
    case 'text': {
      const asked = limits.filter((limit) => typeof limit === 'string');
      return ['as seen', ...asked].map((text) => ({ kind: 'text', text }));
    }
    case 'detail':
      return detailsFor(field, limits, today);
    case 'computed':
    case 'writer':
      return [];
  }
}

interface Asked {
  id: string;
  /** Undefined where the answer may be left out. */
  answers: (Answer | undefined)[];
}

/** Ways of answering an entry, and how many there are in all. */
export interface Branches {
  tried: Answers[];
  total: number;
}

const without = (answers: [string, Answer | undefined][]): Answers =>
  Object.fromEntries(answers.filter((one): one is [string, Answer] => one[1] !== undefined));

/** The branch of a number, its answers told by its digits in a mixed base: one digit for each field. */
function branchAt(asked: readonly Asked[], number: number): Answers {
  let rest = number;
  return without(
    asked.map(({ id, answers }) => {
      const at = rest % answers.length;
      rest = Math.floor(rest / answers.length);
      return [id, answers[at]];
    }),
  );
}

/**
 * All ways of answering an entry that can make a difference to how it reads; where they are more than `most`, a fair
 * sample: every answer of every field once with the first answers of the others, then ways drawn at random. Fields that
 * `known` answers, as the record does, have that answer and those on the other side of a condition.
 */
export function branchesOf(
  content: EntryContent,
  { known, today, most, random }: { known: Answers; today: CalendarDate; most: number; random: Random },
): Branches {
  const conditions = (content.conditions ?? []).map(({ when }) => when);
  const asked = content.fields.flatMap((field): Asked[] => {
    const given = known[field.id];
    const limits = limitsOf(field, conditions);
    // What the record says, and what else it might say where a condition asks for it.
    const answers = given
      ? [given, ...(field.kind === 'detail' && given.kind === 'detail' ? detailsLike(given, limits) : [])]
      : answersFor(field, limits, today);
    if (answers.length === 0) return [];
    return [
      {
        id: field.id,
        answers: field.required || field.kind === 'alternates' ? answers : [...answers, undefined],
      },
    ];
  });
  const total = asked.reduce((product, { answers }) => product * answers.length, 1);
  if (total <= most)
    return { tried: Array.from({ length: total }, (_, number) => branchAt(asked, number)), total };
  const first = asked.map(({ id, answers }): [string, Answer | undefined] => [id, answers[0]]);
  const each = asked.flatMap(({ answers }, at) =>
    answers.map((answer) => without(first.map(([id, usual], index) => [id, index === at ? answer : usual]))),
  );
  const drawn = Array.from({ length: Math.max(0, most - each.length) }, () =>
    without(asked.map(({ id, answers }) => [id, answers[Math.floor(random() * answers.length)]])),
  );
  return { tried: [...each, ...drawn].slice(0, most), total };
}
