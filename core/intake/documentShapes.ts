import { plainText, type Passage } from '#core/passage';
import { proposedColumns, type JoinedColumn } from './columnRoles';
import { piecesOf, type Piece } from './documentPieces';
import { SECTION_HEAD, wordsOfCell, type IntakeTable } from './intakeTable';
import { mergedTables } from './mergedTables';
import { betweenRules, eachParagraph, namedLines, pairedLines, tablesWithin } from './plainShapes';
import { roleOfHead } from './roleOfHead';
import {
  boldBeginnings,
  firstLines,
  questionsAndAnswers,
  underBold,
  underHeadings,
  underTypedHeadings,
} from './titledShape';

/** How what somebody has is laid out, as the entries in it are told apart. */
export const INTAKE_SHAPES = [
  'table',
  'passages',
  'mails',
  'named-lines',
  'questions',
  'headings',
  'bold',
  'bold-beginnings',
  'rules',
  'pairs',
  'first-lines',
  'typed-headings',
  'paragraphs',
  'whole',
] as const;
export type IntakeShapeId = (typeof INTAKE_SHAPES)[number];

/** One way to read what came in: the table that it makes, and what its columns are. */
export interface IntakeShape {
  id: IntakeShapeId;
  table: IntakeTable;
  columns: JoinedColumn[];
}

/** How sure a shape is, beside others that hold as much of the text. */
const SURE: Record<Exclude<IntakeShapeId, 'passages' | 'mails'>, number> = {
  table: 1.1,
  'named-lines': 1.5,
  questions: 1.03,
  headings: 1,
  bold: 0.98,
  'bold-beginnings': 0.97,
  rules: 0.96,
  pairs: 0.95,
  'first-lines': 0.92,
  'typed-headings': 0.9,
  paragraphs: 0.55,
  whole: 0.1,
};

type DocumentShapeId = keyof typeof SURE;

const MAKERS: readonly (readonly [DocumentShapeId, (pieces: readonly Piece[]) => IntakeTable | null])[] = [
  ['named-lines', namedLines],
  ['questions', questionsAndAnswers],
  ['headings', underHeadings],
  ['bold', underBold],
  ['bold-beginnings', boldBeginnings],
  ['rules', betweenRules],
  ['pairs', pairedLines],
  ['first-lines', firstLines],
  ['typed-headings', underTypedHeadings],
  ['paragraphs', eachParagraph],
];

const lettersIn = (words: string): number => words.replace(/\s+/g, '').length;

/** How much of a text a table holds, from 0 to 1. */
function covered({ heads, rows }: IntakeTable, all: number): number {
  // What is said where rows belong is said once there, and once for each of them here.
  const groups = new Set(
    rows.map((row) => heads.map((head, at) => (head === SECTION_HEAD ? wordsOfCell(row[at]) : '')).join('')),
  );
  const own = rows.reduce(
    (sum, row) =>
      row.reduce<number>(
        (inner, cell, at) => (heads[at] === SECTION_HEAD ? inner : inner + lettersIn(wordsOfCell(cell))),
        sum,
      ),
    0,
  );
  const grouped = [...groups].reduce((sum, words) => sum + lettersIn(words), 0);
  return Math.min(1, (own + grouped) / Math.max(1, all));
}

/** Titles above very long wordings are rather those of chapters. */
const USUAL_LENGTH = 1500;

function scoreOf({ id, table }: { id: DocumentShapeId; table: IntakeTable }, all: number): number {
  const share = covered(table, all);
  const mean = all / table.rows.length;
  // Whose beginnings are the same few words, it is records that are named line by line.
  const beginnings = new Set(table.rows.map((row) => wordsOfCell(row[0]))).size;
  const repeats = id === 'pairs' && beginnings < 0.7 * table.rows.length ? 0.5 : 1;
  const chapters = mean > USUAL_LENGTH ? Math.max(0.5, USUAL_LENGTH / mean) : 1;
  return share * SURE[id] * repeats * (id === 'whole' ? 1 : chapters);
}

const shapeOf = (id: IntakeShapeId, table: IntakeTable): IntakeShape => ({
  id,
  table,
  columns: proposedColumns(table),
});

/** Bold lines that are not titles but words said loudly: where headings say nearly as much, they are the titles. */
const MORE_TITLES = 1.5;

/**
 * The ways in which the entries of a document may be told apart, the likeliest first: its tables, or its headings, bold lines, questions
 * with their answers, lines of two parts and the like. Each makes a table; the last takes the document as one wording.
 */
export function documentShapes(document: Passage, called: string): IntakeShape[] {
  const pieces = piecesOf(document);
  const all = lettersIn(plainText(document));
  const found: { shape: IntakeShape; score: number }[] = [];
  const add = (id: DocumentShapeId, table: IntakeTable) => {
    const score = scoreOf({ id, table }, all);
    found.push({ shape: shapeOf(id, table), score });
  };
  for (const table of tablesWithin(pieces)) add('table', table);
  for (const [id, make] of MAKERS) {
    const table = make(pieces);
    if (table) add(id, table);
  }
  const countOf = (id: IntakeShapeId) =>
    found.find(({ shape }) => shape.id === id)?.shape.table.rows.length ?? 0;
  for (const one of found) {
    const { id, table } = one.shape;
    if (
      (id === 'bold' || id === 'questions') &&
      table.rows.length >= MORE_TITLES * Math.max(2, countOf('headings'))
    )
      one.score *= 1.06;
    if (id === 'headings' && table.rows.length * MORE_TITLES < countOf('bold')) one.score *= 0.97;
  }
  const whole = { name: '', heads: ['Title', 'Wording'], rows: [[called, document]], remarks: [] };
  if (all > 0) add('whole', whole);
  return found
    .filter(({ shape }) => shape.id === 'whole' || shape.table.rows.length >= 1)
    .sort((a, b) => b.score - a.score)
    .map(({ shape }) => shape);
}

/** The ways to read tables, as a workbook or data hold them: those with the same heads as one, the one with most in it first. */
export const tableShapes = (tables: readonly IntakeTable[]): IntakeShape[] =>
  mergedTables(tables)
    .map((table) => shapeOf('table', table))
    .sort((a, b) => wordedRows(b) - wordedRows(a));

/** How many rows have a wording, as their columns are joined; those of a table whose heads say which it is count for more. */
function wordedRows({ table, columns }: IntakeShape): number {
  const wordings = columns.flatMap(({ role }, at) => (role === 'wording' ? [at] : []));
  const rows = table.rows.filter((row) => wordings.some((at) => wordsOfCell(row[at]).trim() !== '')).length;
  return wordings.some((at) => roleOfHead(table.heads[at]!) === 'wording') ? rows * 3 : rows;
}
