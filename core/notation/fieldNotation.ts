import type { ChoiceField, ChoiceOption, Field, AlternatesField } from '#core/entry';
import { PICKED, writeCalculation } from './calculationNotation';
import { freeId } from './freeId';
import { edgesKept, escaped, named, valueOf } from './escapes';

/** A line with a key and a value; none where the value is what it is anyway. */
const pair = (key: string, value: string | number | null | undefined, usual: unknown = ''): string[] => {
  if (value === usual || value === null || value === undefined) return [];
  return [value === '' ? `${key}:` : `${key}: ${typeof value === 'number' ? value : valueOf(value)}`];
};

const flag = (words: string, on: boolean | undefined): string[] => (on ? [words] : []);

const optionLine = ({ id, label, words }: ChoiceOption, before: readonly ChoiceOption[]): string => {
  const isMade = freeId(label, new Set(before.map((option) => option.id))) === id;
  const head = `option${isMade ? '' : ` ${named(id)}`}: ${edgesKept(escaped(label, /=/g))}`;
  return words === null ? head : `${head} = ${valueOf(words)}`;
};

const alternateLine = ({ words, until }: AlternatesField['alternates'][number]): string =>
  `${until ? `alternate until ${until}` : 'alternate'}: ${valueOf(words)}`;

/** The lines that only a choice has. */
const choiceLines = (field: ChoiceField): string[] => [
  ...flag('several', field.many),
  ...pair('join', field.join, 'and'),
  ...field.options.map((option, at) => optionLine(option, field.options.slice(0, at))),
  ...flag('other words', field.other),
  ...pair('none', field.none, null),
  ...(field.starting?.length ? [`starting: ${field.starting.map(named).join(', ')}`] : []),
];

/** The lines of a field that only its kind has. */
function ownLines(field: Field, fields: readonly Field[]): string[] {
  switch (field.kind) {
    case 'text':
      return [...flag('several lines', field.long), ...pair('starting', field.starting)];
    case 'choice':
      return choiceLines(field);
    case 'date':
      return flag('starting today', field.starting === 'today');
    case 'time':
      return flag('starting now', field.starting !== undefined);
    case 'number':
      return [
        ...pair('unit', field.unit),
        ...pair('least', field.min),
        ...pair('most', field.max),
        ...pair('decimals', field.decimals),
        ...pair('starting', field.starting),
      ];
    case 'yes-no':
      return [
        ...pair('yes', field.yes, 'yes'),
        ...pair('no', field.no, 'no'),
        ...(field.starting === undefined ? [] : [`starting: ${field.starting ? 'yes' : 'no'}`]),
      ];
    case 'computed':
      return [
        field.calculation.by === 'formula'
          ? `formula: ${valueOf(field.calculation.formula)}`
          : `${field.calculation.by}: ${writeCalculation(field.calculation, fields)}`,
        ...pair('unit', field.unit),
        ...pair('decimals', field.decimals),
      ];
    case 'alternates':
      return [...flag('by time of day', field.by === 'time'), ...field.alternates.map(alternateLine)];
    case 'detail':
    case 'person':
    case 'writer':
      return [];
  }
}

/** What stands after the kind on a field's own line. */
function which(field: Field): string {
  if (field.kind === 'detail') return ` ${valueOf(field.path)}`;
  return field.kind === 'writer' ? ` ${field.detail}` : '';
}

/** A field as its lines: the first, with its name and id as given, tells its kind; the others stand below it, further in. */
export function writeField(field: Field, nameAndId: string, fields: readonly Field[]): string[] {
  return [
    `field ${nameAndId}: ${field.kind}${which(field)}`,
    ...[
      ...pair('question', field.question),
      ...pair('hint', field.hint),
      ...flag('optional', !field.required),
      ...flag('offer last answer', field.offerLast),
      ...ownLines(field, fields),
    ].map((line) => `  ${line}`),
  ];
}

/** Keys of the lines below a field, with what they set and how they are read; `PICKED` calculations apart. */
export const FIELD_KEYS: Record<string, { sets: string; reads: 'words' | 'number' | 'ids' | 'starting' }> = {
  question: { sets: 'question', reads: 'words' },
  hint: { sets: 'hint', reads: 'words' },
  join: { sets: 'join', reads: 'words' },
  none: { sets: 'none', reads: 'words' },
  unit: { sets: 'unit', reads: 'words' },
  yes: { sets: 'yes', reads: 'words' },
  no: { sets: 'no', reads: 'words' },
  least: { sets: 'min', reads: 'number' },
  most: { sets: 'max', reads: 'number' },
  decimals: { sets: 'decimals', reads: 'number' },
  starting: { sets: 'starting', reads: 'starting' },
};

/** Lines below a field that are words alone, with what they set. */
export const FIELD_FLAGS: Record<string, Record<string, unknown>> = {
  optional: { required: false },
  'offer last answer': { offerLast: true },
  'several lines': { long: true },
  several: { many: true },
  'other words': { other: true },
  'starting today': { starting: 'today' },
  'starting now': { starting: 'now' },
  'by time of day': { by: 'time' },
};

/** Whether a calculation was picked from a list and not written as a formula. */
export const isPicked = (key: string): key is (typeof PICKED)[number] =>
  (PICKED as readonly string[]).includes(key);
