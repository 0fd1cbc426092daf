import type { CaseRecord, DetailPath } from '#core/record';
import type { AssignmentWork } from './assignment';
import type { Tally } from './tally';

type StoredDetail = CaseRecord['details'][number];

/** The details that are worked out from a submission and the comments on it, for the summing-up. */
export const SUMMING_UP_DETAILS = [
  'words',
  'words over',
  'words short',
  'praised',
  'commonest fault',
  'faults',
  'levels',
  'points',
  'last summing-up',
] as const satisfies readonly DetailPath[];

/** No detail is longer. */
const MOST_TEXT = 5000;

const number = (value: number): StoredDetail['value'] => ({ kind: 'quantity', value, unit: '' });

const list = (items: string[]): StoredDetail['value'] | null =>
  items.length > 0 ? { kind: 'list', items: items.map((item) => item.slice(0, 200)) } : null;

/** By how much one number is more than another; null where it is not, or there is none to compare. */
const beyond = (number: number, most: number | null | undefined): number | null =>
  most !== null && most !== undefined && number > most ? number - most : null;

/**
 * What the record of a submission knows besides, for the summing-up: how long it is, also against the limits, and what the comments
 * come to. What there is nothing to say of is left out: its blank is asked.
 *
 * @param source - What it was read from, as its name is told.
 * @param words - How many words the submission has.
 * @param limits - The assignment's; null where it belongs to none.
 * @param lastSummingUp - What was written beneath the same person's work last; null where nothing was.
 */
export function summingUpDetails(
  source: string,
  words: number,
  limits: AssignmentWork['limits'] | null,
  { criteria, points, faults, praised }: Tally,
  lastSummingUp: string | null,
): StoredDetail[] {
  const over = beyond(words, limits?.most);
  const short = limits?.least ? beyond(limits.least, words) : null;
  const values: Record<(typeof SUMMING_UP_DETAILS)[number], StoredDetail['value'] | null> = {
    words: number(words),
    'words over': over === null ? null : number(over),
    'words short': short === null ? null : number(short),
    praised: list(praised.map(({ title }) => title)),
    'commonest fault': faults[0] ? { kind: 'text', text: faults[0].title } : null,
    faults: list(
      criteria.filter((one) => one.faults > 0 && one.name !== '').map((one) => `${one.name} (${one.faults})`),
    ),
    levels: list(criteria.flatMap(({ name, level }) => (level ? [`${name}: ${level.name}`] : []))),
    points: points && { kind: 'text', text: `${points.given}/${points.most}` },
    'last summing-up':
      lastSummingUp === null ? null : { kind: 'text', text: lastSummingUp.slice(0, MOST_TEXT) },
  };
  return SUMMING_UP_DETAILS.flatMap((path) => {
    const value = values[path];
    return value ? [{ path, value, source: source.slice(0, 300), asOf: null }] : [];
  });
}
