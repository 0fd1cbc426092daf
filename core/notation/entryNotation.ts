import {
  EntryContentSchema,
  type EntryContent,
  type EntryFile,
  type Field,
  type NamedCondition,
  type Part,
  type Wording,
} from '#core/entry';
import { commentLines, readCommentLine } from './commentNotation';
import { readWholeCondition, writeCondition } from './conditionNotation';
import type { Cue } from '#core/cue';
import { cueLine } from './cueNotation';
import { Cursor } from './cursor';
import { named, unescaped, valueOf } from './escapes';
import { writeField } from './fieldNotation';
import { NotationFault, notationErrorInWords, type NotationError } from './notationError';
import { JOINS, type Join, type Passage } from '#core/passage';
import { freeId } from './freeId';
import { keyed, readField, type ReadField } from './readField';
import type { NotationReading } from './readInlines';
import { readBlocks } from './readPassage';
import { after, isBlank, refuse, sourceLines, type SourceLine } from './sourceLine';
import { writePassage } from './writePassage';

const pair = (key: string, value: string): string[] => (value === '' ? [] : [`${key}: ${valueOf(value)}`]);

/** A name with the id behind it, where the id is not the one that would be made of the name. */
function nameAndId({ name, id }: { name: string; id: string }, before: readonly { id: string }[]): string {
  const shown = name === '' ? '""' : named(name);
  return freeId(name, new Set(before.map((one) => one.id))) === id ? shown : `${shown} (${named(id)})`;
}

function wordingLines(wording: Wording, at: number, content: EntryContent): string[] {
  const known = { fields: content.fields, conditions: content.conditions ?? [] };
  const { parts, language, joins, short, onPage } = wording;
  return [
    `== wording ${nameAndId(wording, content.wordings.slice(0, at))}: ${valueOf(language)}${joins ? ` joins=${joins}` : ''}${onPage ? ` page=${onPage}` : ''}${short ? ' short' : ''}`,
    ...parts.flatMap((part, index) => [
      `-- part ${nameAndId(part, parts.slice(0, index))}`,
      '',
      writePassage(part.passage, known),
      '',
    ]),
  ];
}

/** A file that goes along: what names it for the store, then what it is called. */
const fileLine = ({ hash, bytes, media, name }: EntryFile): string =>
  `file ${hash} ${bytes} ${named(media)}: ${valueOf(name)}`;

/** An entry as plain text in the compact notation (docs/NOTATION.md); `readEntry` makes the same entry of it. */
export function writeEntry(content: EntryContent): string {
  const {
    title,
    purpose,
    note,
    tags,
    cues,
    fields,
    conditions = [],
    wordings,
    retired,
    files = [],
  } = content;
  return [
    `title: ${valueOf(title)}`,
    ...(retired ? ['state: retired'] : []),
    ...pair('purpose', purpose),
    ...pair('note', note),
    ...tags.map((tag) => `tag: ${valueOf(tag)}`),
    ...cues.map(cueLine),
    ...commentLines(content),
    ...files.map(fileLine),
    '',
    ...fields.flatMap((field, at) => [
      ...writeField(field, nameAndId(field, fields.slice(0, at)), fields),
      '',
    ]),
    ...conditions.map(({ id, when }) => `when ${named(id)}: ${writeCondition(when, fields)}`),
    ...(conditions.length > 0 ? [''] : []),
    ...wordings.flatMap((wording, at) => wordingLines(wording, at, content)),
  ].join('\n');
}

/** The lines below one that stand further in, without that indentation; and how many lines they are. */
function belowOf(lines: readonly SourceLine[], from: number): { below: SourceLine[]; count: number } {
  let count = 0;
  while (/^(?: {2}|[ \t]*$)/.test(lines[from + count]?.text ?? 'x')) count += 1;
  const below = lines.slice(from, from + count).filter((line) => !isBlank(line));
  return { below: below.map((line) => after(line, /^ */.exec(line.text)![0].length)), count };
}

/** Reads an entry from its head to its last wording. */
class EntryReader {
  private readonly content: EntryContent = {
    version: 1,
    title: '',
    purpose: '',
    note: '',
    tags: [],
    cues: [],
    wordings: [],
    fields: [],
  };
  private readonly fields: ReadField[] = [];
  private readonly waiting: { id: string; value: SourceLine }[] = [];
  private conditions: NamedCondition[] = [];

  constructor(private readonly lines: readonly SourceLine[]) {}

  read(): EntryContent {
    const start = this.lines.findIndex(({ text }) => text.startsWith('== '));
    const end = start < 0 ? this.lines.length : start;
    const head = this.lines.slice(0, end);
    for (let at = 0; at < end;) at += this.headLine(head, at);
    const fields = this.fields.map(({ field }) => field);
    // Calculations and conditions name fields, which may stand further down: read once all are known.
    this.content.fields = this.fields.map(({ field, calculate }): Field =>
      field.kind === 'computed' && calculate ? { ...field, calculation: calculate(fields) } : field,
    );
    this.conditions = this.waiting.map(({ id, value }) => ({ id, when: readWholeCondition(value, fields) }));
    if (start < 0) refuse(this.lines.at(-1)!, 0, { code: 'no-wording' });
    this.wordings(start);
    return this.checked();
  }

  private checked(): EntryContent {
    const { conditions } = this;
    const parsed = EntryContentSchema.safeParse(
      conditions.length ? { ...this.content, conditions } : this.content,
    );
    if (parsed.success) return parsed.data;
    const issue = parsed.error.issues[0];
    const [part, index] = issue?.path ?? [];
    const at = part === 'fields' && typeof index === 'number' ? this.fields[index]?.line : undefined;
    return refuse(at ?? this.lines[0]!, 0, {
      code: 'not-valid',
      message: issue?.message ?? 'This is not an entry.',
    });
  }

  /** Reads what begins at a line of the head; how many lines it took comes back. */
  private headLine(lines: readonly SourceLine[], at: number): number {
    const line = lines[at]!;
    if (isBlank(line)) return 1;
    if (/^field /.test(line.text)) {
      const { below, count } = belowOf(lines, at + 1);
      const taken = new Set(this.fields.map(({ field }) => field.id));
      this.fields.push(readField(line, below, taken));
      return count + 1;
    }
    const found = keyed(line);
    if (!found) refuse(line, 0, { code: 'line-unknown', found: line.text.slice(0, 30) });
    this.keyLine(line, found.key, found.value);
    return 1;
  }

  private keyLine(line: SourceLine, key: string, value: SourceLine): void {
    const words = unescaped(value.text.replace(/^ +/, ''));
    if (key === 'title' || key === 'purpose' || key === 'note') this.content[key] = words;
    else if (key === 'state' && words === 'retired') this.content.retired = true;
    else if (key === 'tag') this.content.tags.push(words);
    else if (/^cue\b/.test(key)) this.content.cues.push({ text: words, ...cueRules(key, line) });
    else if (/^file /.test(key)) this.content.files = [...(this.content.files ?? []), fileIn(line, words)];
    else if (/^when /.test(key)) {
      const cursor = new Cursor(line);
      cursor.take(/when /);
      this.waiting.push({ id: cursor.name(), value });
    } else {
      const comment = readCommentLine(line, key, value, this.content.comment);
      if (comment) this.content.comment = comment;
      else refuse(line, 0, { code: 'line-unknown', found: key });
    }
  }

  private wordings(start: number): void {
    let wording: Wording | null = null;
    let part: { head: Omit<Part, 'passage'>; lines: SourceLine[] } | null = null;
    const endPart = () => {
      if (part && wording)
        wording.parts.push({ ...part.head, passage: readBlocks(part.lines, this.reading()) });
      part = null;
    };
    for (const line of this.lines.slice(start)) {
      if (line.text.startsWith('== ')) {
        endPart();
        wording = this.wordingHead(line);
        this.content.wordings.push(wording);
      } else if (line.text.startsWith('-- ')) {
        endPart();
        part = { head: partHead(line, wording!), lines: [] };
      } else {
        // A wording of one part need not name it.
        if (!part && !isBlank(line)) part = { head: { id: 'text', name: 'Text' }, lines: [] };
        (part as { lines: SourceLine[] } | null)?.lines.push(line);
      }
    }
    endPart();
  }

  private wordingHead(line: SourceLine): Wording {
    const cursor = new Cursor(line);
    if (cursor.take(/== wording /) === null)
      refuse(line, 3, { code: 'wanted', wanted: '“wording”', found: '' });
    const name = cursor.name();
    const taken = new Set(this.content.wordings.map(({ id }) => id));
    const id = bracketed(cursor) ?? freeId(name, taken);
    if (cursor.spaces().take(/:/) === null) return { id, name, language: 'en-GB', parts: [] };
    const said = unescaped(cursor.spaces().rest);
    const isShort = / +short *$/.test(said);
    const [before = '', onPage] = said.replace(/ +short *$/, '').split(/ +page=/);
    const [language = '', joins] = before.split(/ +joins=/);
    if (joins !== undefined && !(JOINS as readonly string[]).includes(joins))
      refuse(line, line.text.indexOf(joins), {
        code: 'wanted',
        wanted: `joins=${JOINS.join(', ')}`,
        found: joins,
      });
    const more = { ...(isShort && { short: true as const }), ...(onPage && { onPage }) };
    return { id, name, language, ...(joins && { joins: joins as Join }), ...more, parts: [] };
  }

  private reading(): NotationReading {
    return {
      fields: this.content.fields,
      conditions: this.conditions,
      anyField: false,
      keepCondition: ({ condition }) => {
        const id = freeId('c', new Set(this.conditions.map((one) => one.id)));
        this.conditions = [...this.conditions, { id, when: condition }];
        return id;
      },
    };
  }
}

/** An id in round brackets; null where none stands. */
function bracketed(cursor: Cursor): string | null {
  if (cursor.spaces().take(/\(/) === null) return null;
  const id = cursor.name();
  cursor.must(')');
  return id;
}

function partHead(line: SourceLine, wording: Wording): Omit<Part, 'passage'> {
  const cursor = new Cursor(line);
  if (cursor.take(/-- part /) === null) refuse(line, 3, { code: 'wanted', wanted: '“part”', found: '' });
  const name = cursor.name();
  const id = bracketed(cursor) ?? freeId(name, new Set(wording.parts.map((part) => part.id)));
  cursor.end();
  return { id, name };
}

/** A file that goes along, of the line that names it. */
function fileIn(line: SourceLine, name: string): EntryFile {
  const cursor = new Cursor(line);
  cursor.take(/file /);
  const hash = cursor.take(/[0-9a-f]{64}/) ?? cursor.wanted('the 64 characters that name a file');
  const bytes = cursor.spaces().number();
  const media = cursor.spaces().name();
  return { hash, bytes, media, name };
}

const isYes: Record<string, boolean> = { yes: true, no: false };

/** The rules that stand between "cue" and its colon. */
function cueRules(key: string, line: SourceLine): Pick<Cue, 'as' | 'rules'> {
  const rules = key
    .split(/ +/)
    .slice(1)
    .map((rule) => {
      const [name = '', value = ''] = rule.split('=');
      if (value === '') refuse(line, 0, { code: 'wanted', wanted: 'a rule such as fires=last', found: rule });
      return [name, name === 'closers' ? value.split(',') : (isYes[value] ?? value)] as const;
    });
  const { as, ...others } = Object.fromEntries(rules) as NonNullable<Cue['rules']> & Pick<Cue, 'as'>;
  return { ...(as && { as }), ...(Object.keys(others).length > 0 && { rules: others }) };
}

type Read<T> = { ok: true; value: T } | { ok: false; error: NotationError };

/** A fault on the way as a result; anything else is a slip of ours and goes on. */
function guarded<T>(work: () => T): Read<T> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (error instanceof NotationFault) return { ok: false, error: error.fault };
    throw error;
  }
}

/** Reads an entry from the compact notation: its content, or the first error with its line and column. */
export const readEntry = (source: string): Read<EntryContent> =>
  guarded(() => new EntryReader(sourceLines(source)).read());

/**
 * One wording alone, without an entry around it: names of blanks are taken for ids of fields, and passages may
 * name the conditions given. For wording that the
 * code itself holds: throws a RangeError when it cannot be read.
 */
export function passageFrom(source: string, conditions: readonly NamedCondition[] = []): Passage {
  const reading = { fields: [], conditions, anyField: true, keepCondition: () => '' };
  const read = guarded(() => readBlocks(sourceLines(source), reading));
  if (!read.ok)
    throw new RangeError(`${read.error.line}:${read.error.column} ${notationErrorInWords(read.error)}`);
  return read.value;
}
