import { newEntry, proposeTitle, type EntryContent, type Wording } from '#core/entry';
import { isEmptyPassage, mapLines, plainPassage, type Passage } from '#core/passage';
import { tagOfLanguage } from '#core/language';
import { withFieldsMarked } from './withFieldsMarked';
import { KNOWN_LANGUAGES, type JoinedColumn } from './columnRoles';
import { wordsOfCell, type Cell, type IntakeTable } from './intakeTable';

/** An entry that a row makes. */
export interface RowEntry {
  /** The row, from 0, of the table; of several rows the first. */
  row: number;
  /** The names of the collection it goes into, from the outermost in; empty for the one that all goes into. */
  path: string[];
  content: EntryContent;
  /** Its title was made of its wording. */
  isTitled: boolean;
}

/** A row that makes no entry, and why. */
export interface LeftRow {
  row: number;
  words: string;
}

export interface EntriesOfRows {
  entries: RowEntry[];
  /** Rows without a wording. */
  left: LeftRow[];
  /** Signs before every cue that were taken off, since collections have a lead-in of their own; '' for none. */
  leadIn: string;
}

/** A cell as a passage, with the names of its fields marked in it. */
function passageOf(cell: Cell, fields: readonly string[] = []): Passage {
  if (typeof cell === 'string') return plainPassage(withFieldsMarked(cell.trim(), fields));
  if (fields.length === 0) return cell;
  return mapLines(cell, (line) =>
    line.map((inline) =>
      inline.type === 'text' ? { ...inline, text: withFieldsMarked(inline.text, fields) } : inline,
    ),
  );
}

const LONGEST = {
  title: 200,
  purpose: 2000,
  note: 5000,
  tag: 60,
  name: 60,
  cue: 40,
  collection: 80,
} as const;

const oneLine = (words: string): string => words.replace(/\s+/g, ' ').trim();
const cut = (words: string, most: number): string =>
  words.length <= most ? words : `${words.slice(0, most - 1).trimEnd()}…`;

/** Words that several may stand in, one beside the other. */
const listed = (words: string): string[] =>
  words
    .split(/[,;|\n]/)
    .map(oneLine)
    .filter((word) => word !== '');

/** "Ward > Fluids", "Ward/Fluids": the names of collections, from the outermost in. */
const pathOf = (words: string): string[] =>
  words
    .split(/\s*(?:>|›|»|::|\\|\/(?!\s))\s*/)
    .map((name) => cut(oneLine(name), LONGEST.collection))
    .filter((name) => name !== '')
    .slice(0, 6);

const MOSTLY = 0.8;

/** The signs that cues of a table begin with, where nearly all begin with the same: they are no part of a cue here. */
export function leadInOf(cues: readonly string[]): string {
  const said = cues.filter((cue) => cue !== '');
  const counts = new Map<string, number>();
  for (const cue of said) {
    const signs = /^[^\p{L}\p{N}\s]{1,4}(?=[\p{L}\p{N}])/u.exec(cue)?.[0] ?? '';
    if (signs !== '') counts.set(signs, (counts.get(signs) ?? 0) + 1);
  }
  const [[signs, count] = ['', 0]] = [...counts].sort((a, b) => b[1] - a[1]);
  return said.length >= 2 && count >= MOSTLY * said.length ? signs : '';
}

/** The cells of a row by what their columns are. */
class RowReader {
  constructor(
    private readonly row: readonly Cell[],
    private readonly columns: readonly JoinedColumn[],
    private readonly heads: readonly string[],
  ) {}

  private of(role: JoinedColumn['role']) {
    return this.columns.flatMap((column, at) => {
      const cell = this.row[at] ?? '';
      const words = wordsOfCell(cell).trim();
      return column.role === role && words !== '' ? [{ column, cell, words, head: this.heads[at]! }] : [];
    });
  }

  words(role: JoinedColumn['role'], between = '\n'): string {
    return this.of(role)
      .map(({ words }) => words)
      .join(between);
  }

  get tags(): string[] {
    const all = this.of('tags').flatMap(({ words }) => listed(words));
    return [...new Set(all.map((tag) => cut(tag, LONGEST.tag)))].slice(0, 50);
  }

  get path(): string[] {
    return this.of('collection').flatMap(({ words }) => pathOf(words));
  }

  wordings(language: string): Wording[] {
    const before = this.of('part').map(({ cell, head }, at) => ({
      id: `part${at + 1}`,
      name: cut(head, LONGEST.name),
      passage: passageOf(cell),
    }));
    const fields = this.of('fields').flatMap(({ words }) => listed(words));
    const all = this.of('wording').filter(({ cell }) => !isEmptyPassage(passageOf(cell)));
    return all.map(({ column, cell, head }, at) => ({
      id: at === 0 ? 'main' : `w${at + 1}`,
      name: all.length === 1 ? 'Main' : cut(head, LONGEST.name),
      language: column.language ?? language,
      parts: [
        ...before,
        { id: 'text', name: before.length > 0 ? 'Message' : 'Text', passage: passageOf(cell, fields) },
      ],
    }));
  }
}

/** One content of two that are the same thing in two languages. */
function inBothLanguages(one: EntryContent, other: EntryContent): EntryContent {
  const [more] = other.wordings;
  const id = `w${one.wordings.length + 1}`;
  const nameOf = ({ name, language }: Wording) => (name === 'Main' ? language : name);
  return {
    ...one,
    cues: [...one.cues, ...other.cues.filter(({ text }) => !one.cues.some((cue) => cue.text === text))],
    tags: [...new Set([...one.tags, ...other.tags])],
    wordings: [
      ...one.wordings.map((wording) => ({ ...wording, name: nameOf(wording) })),
      { ...more!, id, name: nameOf(more!) },
    ],
  };
}

/** Groups are often said once, before the first of them: what is empty beneath means the same. */
function filledDown(table: IntakeTable, columns: readonly JoinedColumn[]): Cell[][] {
  const groups = columns.flatMap(({ role }, at) => (role === 'collection' ? [at] : []));
  const last: Cell[] = [];
  return table.rows.map((row) => {
    const whole = [...row];
    for (const at of groups) {
      if (wordsOfCell(whole[at]).trim() === '') whole[at] = last[at] ?? '';
      else last[at] = whole[at]!;
    }
    return whole;
  });
}

/**
 * The entries that rows of a table make, as its columns are joined. Rows of one title in several languages are one entry with a wording
 * in each. Titles that are not given are made of the wording.
 * @param language what a wording is in that says nothing else (BCP 47)
 */
export function entriesOfRows(
  table: IntakeTable,
  columns: readonly JoinedColumn[],
  language: string,
): EntriesOfRows {
  const rows = filledDown(table, columns);
  const readers = rows.map((row) => new RowReader(row, columns, table.heads));
  const cues = readers.map((reader) => oneLine(reader.words('cue', ' ')));
  const leadIn = leadInOf(cues);
  const entries: RowEntry[] = [];
  const left: LeftRow[] = [];
  const byTitle = new Map<string, RowEntry>();
  for (const [row, reader] of readers.entries()) {
    const said = reader.words('language');
    const own = said === '' ? language : tagOfLanguage(said, [language, ...KNOWN_LANGUAGES]);
    const wordings = reader.wordings(own);
    const title = oneLine(reader.words('title', ', '));
    if (wordings.length === 0) {
      left.push({ row, words: title || oneLine(rows[row]!.map(wordsOfCell).join(' ')) });
      continue;
    }
    const passage = wordings[0]!.parts.at(-1)!.passage;
    const cue = cues[row]!.startsWith(leadIn) ? cues[row]!.slice(leadIn.length) : cues[row]!;
    const content: EntryContent = {
      ...newEntry(cut(title || proposeTitle(passage) || cue || `Row ${row + 1}`, LONGEST.title), own),
      purpose: reader.words('purpose').slice(0, LONGEST.purpose),
      note: reader.words('note').slice(0, LONGEST.note),
      tags: reader.tags,
      cues: cue === '' ? [] : [{ text: cue.slice(0, LONGEST.cue).trim() }],
      wordings,
    };
    const key = `${reader.path.join('\n')}\n\n${title.toLowerCase()}`;
    const before = byTitle.get(key);
    if (
      title !== '' &&
      said !== '' &&
      before &&
      !before.content.wordings.some((one) => one.language === own)
    ) {
      before.content = inBothLanguages(before.content, content);
      continue;
    }
    const entry = { row, path: reader.path, content, isTitled: title === '' };
    entries.push(entry);
    if (title !== '') byTitle.set(key, entry);
  }
  return { entries, left, leadIn };
}
