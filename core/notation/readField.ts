import { FieldSchema, type Calculation, type Field } from '#core/entry';
import { readCalculation } from './calculationNotation';
import { Cursor } from './cursor';
import { unescaped } from './escapes';
import { freeId } from './freeId';
import { FIELD_FLAGS, FIELD_KEYS, isPicked } from './fieldNotation';
import { after, refuse, type SourceLine } from './sourceLine';

const KINDS: readonly Field['kind'][] = [
  'text',
  'choice',
  'detail',
  'date',
  'time',
  'number',
  'yes-no',
  'person',
  'writer',
  'computed',
  'alternates',
];

/** A value of a line, as it was before it was escaped. */
const words = (value: SourceLine): string => unescaped(value.text.replace(/^ +/, ''));

/** A line cut at its first colon outside quotes: what stands before it, and what behind it. */
export function keyed(line: SourceLine): { key: string; value: SourceLine } | null {
  const found = /^(alternate until \d\d:\d\d|(?:"(?:\\.|[^"\\])*"|[^":])*):/.exec(line.text);
  if (!found) return null;
  return { key: found[1]!.trim(), value: after(line, found[0].length) };
}

/** What the lines below a field say, before its kind is looked at. */
type Properties = Record<string, unknown> & { options: object[]; alternates: object[] };

function optionOf(line: SourceLine, value: SourceLine, taken: Set<string>): object {
  const cursor = new Cursor(line);
  cursor.take(/option/);
  const id = cursor.spaces().rest.startsWith(':') ? null : cursor.name();
  const cut = /^((?:\\.|[^\\=])*?) *(?<!\\)=(?: |$)(.*)$/.exec(value.text.replace(/^ /, ''));
  const label = unescaped(cut ? cut[1]! : value.text.replace(/^ +/, ''));
  const option = { id: id ?? freeId(label, taken), label, words: cut ? unescaped(cut[2]!) : null };
  taken.add(option.id);
  return option;
}

function startingOf(value: SourceLine, kind: string): unknown {
  const text = words(value);
  if (kind === 'number') return new Cursor(value).number();
  if (kind === 'yes-no') {
    if (text.trim() !== 'yes' && text.trim() !== 'no')
      refuse(value, 1, { code: 'wanted', wanted: '“yes” or “no”', found: text });
    return text.trim() === 'yes';
  }
  if (kind !== 'choice') return text;
  const cursor = new Cursor(value);
  const ids = [cursor.name()];
  while (cursor.spaces().take(/,/) !== null) ids.push(cursor.name());
  cursor.end();
  return ids;
}

function property(line: SourceLine, kind: string, into: Properties, taken: Set<string>): void {
  const flag = FIELD_FLAGS[line.text.trim()];
  if (flag) return void Object.assign(into, flag);
  const found = keyed(line);
  const key = found?.key ?? '';
  if (!found) refuse(line, 0, { code: 'line-unknown', found: line.text.trim().slice(0, 30) });
  const known = FIELD_KEYS[key];
  if (known?.reads === 'starting') into[known.sets] = startingOf(found.value, kind);
  else if (known?.reads === 'number') {
    const cursor = new Cursor(found.value);
    into[known.sets] = cursor.number();
    cursor.end();
  } else if (known) into[known.sets] = words(found.value);
  else if (/^option\b/.test(key)) into.options.push(optionOf(line, found.value, taken));
  else if (/^alternate( until \d\d:\d\d)?$/.test(key)) {
    const until = /\d\d:\d\d$/.exec(key)?.[0];
    into.alternates.push({ words: words(found.value), ...(until ? { until } : {}) });
  } else refuse(line, 0, { code: 'line-unknown', found: key });
}

/** A field as read: all of it but a calculation that names other fields, which is read once all are known. */
export interface ReadField {
  field: Field;
  calculate: ((fields: readonly Field[]) => Calculation) | null;
  line: SourceLine;
}

const FORMULA_TO_COME: Calculation = { by: 'formula', formula: '' };

function calculationOf(below: readonly SourceLine[]): ReadField['calculate'] {
  for (const line of below) {
    const found = keyed(line);
    if (found?.key === 'formula') {
      const formula = words(found.value);
      return () => ({ by: 'formula', formula });
    }
    if (found && isPicked(found.key)) {
      const { key, value } = found;
      return (fields) => readCalculation(key, value, fields);
    }
  }
  return null;
}

const isCalculation = (line: SourceLine) => {
  const key = keyed(line)?.key ?? '';
  return key === 'formula' || isPicked(key);
};

/** The name, id and kind that a field's own line gives. */
function headOf(line: SourceLine, taken: ReadonlySet<string>) {
  const cursor = new Cursor(line);
  cursor.take(/field /);
  const name = cursor.name();
  const id = cursor.spaces().take(/\(/) === null ? freeId(name, taken) : cursor.name();
  if (cursor.source.text[cursor.at] === ')') cursor.at += 1;
  cursor.must(':');
  const at = cursor.spaces().at;
  const kind = cursor.take(/[a-z-]+/) ?? '';
  const known = KINDS.find((one) => one === kind);
  if (!known) refuse(line, at, { code: 'kind-unknown', found: kind || cursor.rest });
  return { name, id, kind: known, which: unescaped(cursor.rest.replace(/^ +/, '')) };
}

/** Reads a field from its own line and those below it. Throws a NotationFault. */
export function readField(
  line: SourceLine,
  below: readonly SourceLine[],
  taken: ReadonlySet<string>,
): ReadField {
  const { name, id, kind, which } = headOf(line, taken);
  const properties: Properties = { options: [], alternates: [] };
  const optionIds = new Set<string>();
  for (const one of below) if (!isCalculation(one)) property(one, kind, properties, optionIds);
  const { options, alternates, ...others } = properties;
  const parsed = FieldSchema.safeParse({
    ...others,
    id,
    name,
    kind,
    ...(kind === 'choice' ? { options } : {}),
    ...(kind === 'alternates' ? { alternates } : {}),
    ...(kind === 'detail' ? { path: which } : {}),
    ...(kind === 'writer' && which ? { detail: which } : {}),
    ...(kind === 'computed' ? { calculation: FORMULA_TO_COME } : {}),
  });
  if (!parsed.success)
    refuse(line, 0, {
      code: 'not-valid',
      message: parsed.error.issues[0]?.message ?? 'This field cannot be read.',
    });
  const calculate = kind === 'computed' ? calculationOf(below) : null;
  if (kind === 'computed' && !calculate)
    refuse(line, 0, {
      code: 'wanted',
      wanted: 'a line below that says how it is worked out, such as “formula:”',
      found: '',
    });
  return { field: parsed.data, calculate, line };
}
