import { isEmptyPassage } from '#core/passage';
import {
  inLines,
  lineBetween,
  lineOf,
  paragraphPiece,
  passageOfBlocks,
  rejoined,
  type Piece,
} from './documentPieces';
import { SECTION_HEAD, tableOfCells, type Cell, type IntakeTable } from './intakeTable';
import { mergedTables } from './mergedTables';
import { roleOfHead } from './roleOfHead';

const isRule = ({ block, words }: Piece): boolean =>
  block.type === 'horizontalRule' || /^(?:[-*=_~#–—•]\s*){3,}$/.test(words);

/** What lines part: the first piece of each is its title where it is short. */
export function betweenRules(pieces: readonly Piece[]): IntakeTable | null {
  const groups: Piece[][] = [[]];
  for (const piece of pieces) {
    if (isRule(piece)) groups.push([]);
    else groups.at(-1)!.push(piece);
  }
  const filled = groups.filter((group) => group.length > 0);
  if (filled.length < 2) return null;
  const rows = filled.map((group): Cell[] => {
    const lines = inLines(group, false);
    const [first] = lines;
    const hasTitle = lines.length > 1 && first!.words.length <= 80 && !/[.!,;]$/.test(first!.words);
    const body = passageOfBlocks(rejoined(hasTitle ? lines.slice(1) : lines));
    return [hasTitle ? first!.words.replace(/\s*:$/, '') : '', body];
  });
  return { name: '', heads: ['Title', 'Wording'], rows, remarks: [] };
}

/** What parts a short word from what it stands for, in lists of abbreviations; the surest first. */
const BETWEEN = [
  /\t+/,
  /\s*=+>\s*/,
  /\s*->\s*/,
  /\s*→\s*/,
  /\s*:?=\s*/,
  /\s+\|\s+/,
  /:\s+/,
  /\s+[–—]\s+/,
  /\s+-+\s+/,
];
const LONGEST_LEFT = 80;

/** Lines of two parts: "wg = It was weighed". Null where fewer than four of five lines are so. */
export function pairedLines(pieces: readonly Piece[]): IntakeTable | null {
  const lines = inLines(pieces, true).filter(
    (piece) => !isRule(piece) && piece.level === null && piece.block.type === 'paragraph',
  );
  if (lines.length < 2) return null;
  const parted = (by: RegExp) =>
    lines.map((piece) => {
      const found = by.exec(piece.words);
      const isPair =
        found &&
        found.index > 0 &&
        found.index <= LONGEST_LEFT &&
        found.index + found[0].length < piece.words.length;
      return isPair
        ? { piece, left: piece.words.slice(0, found.index), from: found.index + found[0].length }
        : null;
    });
  for (const by of BETWEEN) {
    const all = parted(by);
    const pairs = all.filter((one) => one !== null);
    if (pairs.length < 2 || pairs.length < 0.8 * lines.length) continue;
    const rows: Cell[][] = [];
    for (const [at, pair] of all.entries()) {
      if (pair)
        rows.push([
          pair.left.replace(/^[-*•–]\s+/, '').trim(),
          passageOfBlocks([paragraphPiece(lineBetween(lineOf(pair.piece), pair.from), pair.piece.of).block]),
        ]);
      // What has no two parts goes on with what was said before.
      else if (rows.length > 0) {
        const last = rows.at(-1)!;
        const before = last[1]! as Exclude<Cell, string>;
        last[1] = passageOfBlocks([...before.content, lines[at]!.block]);
      }
    }
    return { name: '', heads: ['Column 1', 'Column 2'], rows, remarks: [] };
  }
  return null;
}

const LABELLED = /^(\p{L}[\p{L} -]{1,28}?)\s*:\s*(.*)$/su;
const KNOWN_BY_LABEL = new Set([
  'title',
  'wording',
  'cue',
  'purpose',
  'tags',
  'collection',
  'language',
  'note',
  'part',
]);

/** Records of named lines, one beneath the other: "Title: …", "Text: …", "Code: …", and again. */
export function namedLines(pieces: readonly Piece[]): IntakeTable | null {
  const lines = inLines(pieces, false);
  const named = lines.map((piece) => {
    const said = LABELLED.exec(piece.words);
    return said && KNOWN_BY_LABEL.has(roleOfHead(said[1]!) ?? '') ? said[1]!.trim() : null;
  });
  const counts = new Map<string, number>();
  for (const head of named) if (head) counts.set(head, (counts.get(head) ?? 0) + 1);
  const heads = [...counts].filter(([, count]) => count >= 2).map(([head]) => head);
  const roles = heads.map(roleOfHead);
  if (heads.length < 2 || !roles.includes('wording')) return null;
  const first = named.find((head) => head !== null && heads.includes(head))!;
  const records: Map<string, Piece[]>[] = [];
  let open: Piece[] | null = null;
  for (const [at, piece] of lines.entries()) {
    const head = named[at];
    if (head && heads.includes(head)) {
      if (head === first || records.at(-1)?.has(head)) records.push(new Map());
      const said = LABELLED.exec(piece.words)!;
      const from = piece.words.length - said[2]!.length;
      const value = paragraphPiece(lineBetween(lineOf(piece), from), piece.of);
      open = value.words === '' ? [] : [value];
      records.at(-1)?.set(head, open);
    } else if (open && !isRule(piece)) open.push(piece);
  }
  const rows = records.map((record) =>
    heads.map((head): Cell => {
      const said = record.get(head) ?? [];
      return said.length === 0 ? '' : passageOfBlocks(rejoined(said));
    }),
  );
  return { name: '', heads, rows, remarks: [] };
}

/** What stands before an item that somebody typed. */
const TYPED_ITEM = /^(?:[-*•–·o]|\(?\d{1,3}[.)])\s+(?=\S)/;

/** The items of a list that was typed, a line each; the piece itself where it is none. */
function typedItems(piece: Piece): Piece[] {
  const lines = inLines([piece], false);
  if (!lines.every(({ words }) => TYPED_ITEM.test(words))) return [piece];
  return lines.map((line) =>
    paragraphPiece(lineBetween(lineOf(line), TYPED_ITEM.exec(line.words)![0].length), line.of),
  );
}

/** Each paragraph and each item of a list by itself; headings say where it belongs. */
export function eachParagraph(pieces: readonly Piece[]): IntakeTable | null {
  let section = '';
  const rows: Cell[][] = [];
  const itemised = pieces.flatMap((piece) =>
    piece.block.type === 'bulletList' || piece.block.type === 'orderedList'
      ? inLines([piece], true)
      : typedItems(piece),
  );
  for (const piece of itemised) {
    if (piece.level !== null) section = piece.words;
    else if (!isRule(piece)) rows.push([section, passageOfBlocks([piece.block])]);
  }
  if (rows.length < 2) return null;
  const isGrouped = rows.some(([words]) => words !== '');
  return {
    name: '',
    heads: isGrouped ? [SECTION_HEAD, 'Wording'] : ['Wording'],
    rows: isGrouped ? rows : rows.map(([, wording]) => [wording!]),
    remarks: [],
  };
}

/** Cells of a table that stands in a document, row by row. */
function cellsOf({ block }: Piece): Cell[][] {
  if (block.type !== 'table') return [];
  return block.content.map((row) =>
    'content' in row
      ? (row.content as { content: Exclude<Cell, string>['content'] }[]).map((cell): Cell => {
          const passage = passageOfBlocks(cell.content);
          return isEmptyPassage(passage) ? '' : passage;
        })
      : [],
  );
}

/** The tables of a document; those with the same heads are one, and the heading before each says where its rows belong. */
export function tablesWithin(pieces: readonly Piece[]): IntakeTable[] {
  let heading = '';
  const found: IntakeTable[] = [];
  for (const piece of pieces) {
    if (piece.level !== null || (piece.block.type === 'paragraph' && piece.words.length <= 80))
      heading = piece.words;
    if (piece.block.type !== 'table') continue;
    const table = tableOfCells(cellsOf(piece), (head) => roleOfHead(head) !== null, heading);
    if (table && table.heads.length > 1) found.push(table);
  }
  return mergedTables(found);
}
