import { INTAKE_LIMITS, SECTION_HEAD, type IntakeTable } from './intakeTable';
import { roleOfHead } from './roleOfHead';

/** Data of any shape, as JSON, YAML and property lists hold it. */
type Data = unknown;
type Fields = Record<string, string>;

const MOST_DEPTH = 12;
/** What the keys and the values of a list of names are called as columns. */
const [KEY, VALUE] = ['Key', 'Value'];

const isRecord = (data: Data): data is Record<string, Data> =>
  typeof data === 'object' && data !== null && !Array.isArray(data) && !(data instanceof Date);
const isPlain = (data: Data): boolean => !isRecord(data) && !Array.isArray(data);

const wordsOf = (data: Data): string => {
  if (data === null || data === undefined) return '';
  if (data instanceof Date) return data.toISOString().slice(0, 10);
  if (typeof data === 'boolean') return data ? 'yes' : 'no';
  return typeof data === 'string'
    ? data
    : typeof data === 'number' || typeof data === 'bigint'
      ? String(data)
      : '';
};

/** Rows that stand at the same place of the data, be it within several others. */
class Tables {
  private readonly found = new Map<string, Fields[]>();
  private rows = 0;

  add(path: string, row: Fields): void {
    if (this.rows >= INTAKE_LIMITS.rows) return;
    const rows = this.found.get(path) ?? [];
    this.found.set(path, rows);
    rows.push(row);
    this.rows += 1;
  }

  all(): IntakeTable[] {
    return [...this.found].map(([name, rows]) => {
      const heads = [...new Set(rows.flatMap((row) => Object.keys(row)))].slice(0, INTAKE_LIMITS.columns);
      return { name, heads, rows: rows.map((row) => heads.map((head) => row[head] ?? '')), remarks: [] };
    });
  }
}

/** What a record says itself, with what records within it say behind its name: "author name". Lists of words are one cell. */
function fieldsOf(record: Record<string, Data>, before = '', depth = 0): Fields {
  const fields: Fields = {};
  for (const [key, value] of Object.entries(record)) {
    const name = before === '' ? key : `${before} ${key}`;
    if (isPlain(value)) fields[name] = wordsOf(value);
    else if (Array.isArray(value) && value.every(isPlain)) fields[name] = value.map(wordsOf).join('\n');
    else if (isRecord(value) && depth < 3) Object.assign(fields, fieldsOf(value, name, depth + 1));
  }
  return fields;
}

/** Whether a record is a list of names with words for each, and not one thing with what it says of itself. */
const isDictionary = (record: Record<string, Data>): boolean => {
  const values = Object.values(record);
  return values.length >= 3 && values.every((value) => typeof value === 'string');
};
/** Whether a record is a list of names with a thing of one kind for each. */
const isNamedRecords = (record: Record<string, Data>): boolean => {
  const values = Object.values(record);
  if (values.length < 2 || !values.every(isRecord)) return false;
  const [first] = values;
  const keys = Object.keys(first!).sort().join();
  return keys !== '' && values.every((value) => Object.keys(value).sort().join() === keys);
};

/** Where data stands: the names that lead to it, what is said around it, how deep. */
interface Place {
  path: string;
  around: Fields;
  depth: number;
}

const isList = (data: Data): data is Data[] =>
  Array.isArray(data) && data.some((item) => isRecord(item) || Array.isArray(item));

/** A record of a list: a row, or where it holds lists itself what says of each row of these where it belongs. */
function collectRecord(record: Record<string, Data>, place: Place, tables: Tables): void {
  const { path, around, depth } = place;
  const own = fieldsOf(record);
  const lists = Object.entries(record).filter(([, value]) => isList(value));
  if (lists.length === 0) tables.add(path, { ...around, ...own });
  const within = Object.fromEntries(
    Object.entries(own).map(([key, value]) => [
      roleOfHead(key) === 'title' ? SECTION_HEAD : `${lastName(path)}${key}`,
      value,
    ]),
  );
  for (const [key, value] of lists) {
    const inner = { path: `${path} ${key}`.trim(), around: { ...around, ...within }, depth: depth + 1 };
    collect(value, inner, tables);
  }
}

function collectList(list: readonly Data[], place: Place, tables: Tables): void {
  const { path, around } = place;
  for (const one of list) {
    if (isRecord(one)) collectRecord(one, place, tables);
    else if (Array.isArray(one)) {
      const cells = one.map((cell, at) => [`Column ${at + 1}`, wordsOf(cell)]);
      tables.add(path, { ...around, ...(Object.fromEntries(cells) as Fields) });
    } else tables.add(path, { ...around, [VALUE]: wordsOf(one) });
  }
}

function collect(data: Data, place: Place, tables: Tables): void {
  const { path, around, depth } = place;
  if (depth > MOST_DEPTH) return;
  if (Array.isArray(data)) return collectList(data, place, tables);
  if (!isRecord(data)) return;
  const all = Object.entries(data);
  if (isDictionary(data)) {
    for (const [key, value] of all) tables.add(path, { ...around, [KEY]: key, [VALUE]: wordsOf(value) });
    return;
  }
  if (isNamedRecords(data)) {
    for (const [key, value] of all)
      tables.add(path, { ...around, [KEY]: key, ...fieldsOf(value as Record<string, Data>) });
    return;
  }
  const within = all.filter(([, value]) => !isPlain(value));
  // "Ward": [ … ]: what a list is called says where its rows belong, where several stand beside each other and nothing else does.
  const areNames = within.length > 1 && within.length === all.length;
  for (const [key, value] of within) {
    const inner = areNames
      ? { path, around: { ...around, [SECTION_HEAD]: key } }
      : { path: `${path} ${key}`.trim(), around };
    collect(value, { ...inner, depth: depth + 1 }, tables);
  }
}

const lastName = (path: string): string => {
  const name = path.split(' ').at(-1) ?? '';
  return name === '' ? '' : `${name.replace(/s$/, '')} `;
};

/**
 * The tables in data of any shape: each list of records is one, with a column for each name; lists within lists say in columns what they
 * are within; names with words are two columns. The largest first.
 * @param data as `JSON.parse` and readers of YAML and property lists give it
 */
export function tablesOfData(data: Data): IntakeTable[] {
  const tables = new Tables();
  collect(data, { path: '', around: {}, depth: 0 }, tables);
  return tables.all().sort((a, b) => b.rows.length * b.heads.length - a.rows.length * a.heads.length);
}
