import { agoInWords, daysBetween } from '#core/calendar';
import { careDue } from './careDue';
import { lookUp } from './details';
import { latestMeasured, type LatestMeasured, type Telling } from './latestMeasured';
import { newSince } from './newSince';
import type { CaseRecord } from './record';
import { valueInWords } from './value';

/** A piece of the line that a record is folded to. */
export interface LinePart {
  words: string;
  /** `warning` is never told by colour alone: its words say what it is. */
  tone: 'plain' | 'warning' | 'news';
}

const plain = (words: string): LinePart => ({ words, tone: 'plain' });
const warning = (words: string): LinePart => ({ words, tone: 'warning' });

/** A sign and a word for a value that is not as usual. */
export const READS_IN_WORDS = { high: '▲ high', low: '▼ low', abnormal: '! unusual' } as const;

/** So many details tell what a record is about that knows nobody by species, sex or age. */
const DETAILS_TOLD = 3;

/** Who or what the record is about: "seal, female, 5 months"; "Petra Lindow, tawny owl"; else its first details. */
function who(record: CaseRecord, { today, locale }: Telling): LinePart[] {
  const told = ['customer', 'species', 'sex', 'age'].flatMap((path) => {
    const value = lookUp(record, path, today)?.value;
    return value ? [valueInWords(value, locale)] : [];
  });
  const others = record.details.flatMap(({ value }) => (value.kind === 'text' ? [value.text] : []));
  const words = told.length > 0 ? told : others.slice(0, DETAILS_TOLD);
  return words.length > 0 ? [plain(words.join(', '))] : [];
}

/** Always told, as usual or not. */
const ALWAYS = new Set(['weight', 'temperature']);

/** One measurement in the line, with what is odd about it: that it is high or low, or old. */
function measuredPart(one: LatestMeasured, { today }: Telling): LinePart | null {
  if (!ALWAYS.has(one.code) && (!one.reads || one.isOld)) return null;
  const words = [
    `${one.label} ${one.amount}${one.reads ? ` ${READS_IN_WORDS[one.reads]}` : ''}`,
    daysBetween(one.measured, today) === 0 ? null : agoInWords(one.measured, today),
    one.isOld ? 'old' : null,
  ];
  return { words: words.filter(Boolean).join(', '), tone: one.reads || one.isOld ? 'warning' : 'plain' };
}

const measured = (record: CaseRecord, telling: Telling): LinePart[] =>
  latestMeasured(record, telling).flatMap((one) => measuredPart(one, telling) ?? []);

/** So many names, and how many more there are. */
function named(names: readonly string[], most: number): string {
  const more = names.length - most;
  return names.slice(0, most).join(', ') + (more > 0 ? ` and ${more} more` : '');
}

function allergies({ allergies: all = [] }: CaseRecord): LinePart[] {
  const names = all.filter(({ status }) => status === 'active').map(({ label }) => label);
  return names.length > 0 ? [warning(`Allergic to ${named(names, 3)}`)] : [];
}

function overdue(record: CaseRecord, { today }: Telling): LinePart[] {
  const names = careDue(record, today).flatMap(({ state, label }) => (state === 'overdue' ? [label] : []));
  return names.length > 0 ? [warning(`Overdue: ${named(names, 2)}`)] : [];
}

function news(record: CaseRecord): LinePart[] {
  const count = record.lastNote ? newSince(record, record.lastNote).length : 0;
  return count > 0 ? [{ words: `${count} new since your last leaf`, tone: 'news' }] : [];
}

/**
 * What a record comes to in one line, for who writes about it: who it is, the latest weight and temperature, what is not as usual, what
 * must not be given, what is overdue, what is new.
 */
export const recordLine = (record: CaseRecord, telling: Telling): LinePart[] => [
  ...who(record, telling),
  ...measured(record, telling),
  ...allergies(record),
  ...overdue(record, telling),
  ...news(record),
];
