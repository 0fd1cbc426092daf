import type { Passage } from '#core/passage';
import {
  inLines,
  isEmphasised,
  lineBetween,
  lineOf,
  paragraphPiece,
  passageOfBlocks,
  rejoined,
  type Piece,
} from './documentPieces';
import { SECTION_HEAD, type Cell, type IntakeTable } from './intakeTable';
import { roleOfHead } from './roleOfHead';

/** The rank of a title that is no heading: below all that are. */
const BELOW_HEADINGS = 7;
const LONGEST_TITLE = 160;

const isShort = (words: string): boolean => words.length <= LONGEST_TITLE && !words.includes('\n');
const endsSentence = (words: string): boolean => /[.!;,]$/.test(words);

/** What is said under a title, and under which titles that one stands. */
interface Titled {
  path: string[];
  title: string;
  body: Piece[];
}

/** A piece with the rank that it has as a title, from 1; null where it is none. `title`: its words as one. */
interface Ranked {
  piece: Piece;
  rank: number | null;
  title?: string;
}

function titledIn(pieces: readonly Ranked[]): Titled[] {
  const open: { rank: number; title: string }[] = [];
  const found: Titled[] = [];
  let now: Titled | null = null;
  for (const { piece, rank, title = piece.words } of pieces) {
    if (rank === null) {
      if (now && piece.block.type !== 'horizontalRule') now.body.push(piece);
      continue;
    }
    while (open.length > 0 && open.at(-1)!.rank >= rank) open.pop();
    now = { path: open.map((one) => one.title), title: title.replace(/\s+/g, ' '), body: [] };
    open.push({ rank, title: now.title });
    found.push(now);
  }
  return withoutOpening(found.filter(({ body }) => body.length > 0));
}

/** Without what is said under the title of the whole document: it speaks of what comes, and is none of it. */
function withoutOpening(all: Titled[]): Titled[] {
  const [first, ...rest] = all;
  const isOfAll =
    rest.length > 1 && first!.path.length === 0 && rest.every(({ path }) => path[0] === first!.title);
  return isOfAll ? rest : all;
}

/** Lines of a body that name what they say: "Code: wg". What is a title or the wording itself is none of them. */
const BESIDE_WORDING = new Set(['cue', 'purpose', 'tags', 'note', 'part', 'language']);

function namedLine({ words }: Piece): { head: string; value: string } | null {
  const said = /^(\p{L}[\p{L} -]{1,28}?)\s*:\s+(\S.*)$/su.exec(words);
  if (!said || !BESIDE_WORDING.has(roleOfHead(said[1]!) ?? '')) return null;
  const [head, value] = [said[1]!.trim(), said[2]!.trim()];
  // A cue is a word: a sentence behind "Key" is none.
  return roleOfHead(head) === 'cue' && /\s/.test(value) ? null : { head, value };
}

/** Heads that lines in several bodies have. */
function headsWithin(all: readonly Titled[]): string[] {
  const counts = new Map<string, number>();
  for (const { body } of all)
    for (const head of new Set(inLines(body, false).map((piece) => namedLine(piece)?.head ?? '')))
      counts.set(head, (counts.get(head) ?? 0) + 1);
  counts.delete('');
  // One cue alone is one too: nothing else is said so.
  const isMeant = ([head, count]: [string, number]) =>
    roleOfHead(head) === 'cue' || (count >= 2 && count >= all.length / 4);
  return [...counts].filter(isMeant).map(([head]) => head);
}

/** The names that all paths begin with: what the whole document is called, and no part of where single ones go. */
function sharedPath(all: readonly Titled[]): number {
  const [first] = all;
  let shared = 0;
  while (first!.path[shared] !== undefined && all.every(({ path }) => path[shared] === first!.path[shared]))
    shared += 1;
  return shared;
}

/** Rows of what stands under titles: where they belong, the title, the wording, and what lines of it name. Null where there are not two. */
function tableOfTitled(all: readonly Titled[]): IntakeTable | null {
  if (all.length < 2) return null;
  const shared = sharedPath(all);
  const heads = headsWithin(all);
  const rows = all.map(({ path, title, body }): Cell[] => {
    const said = new Map<string, string>();
    const rest = inLines(body, false).filter((piece) => {
      const named = namedLine(piece);
      if (!named || !heads.includes(named.head)) return true;
      said.set(named.head, named.value);
      return false;
    });
    const wording: Passage = passageOfBlocks(rejoined(rest));
    return [
      path.slice(shared).join(' > '),
      title,
      rest.length > 0 ? wording : '',
      ...heads.map((head) => said.get(head) ?? ''),
    ];
  });
  const isGrouped = rows.some(([path]) => path !== '');
  return {
    name: all[0]!.path[shared - 1] ?? '',
    heads: [...(isGrouped ? [SECTION_HEAD] : []), 'Title', 'Wording', ...heads],
    rows: isGrouped ? rows : rows.map(([, ...rest]) => rest),
    remarks: [],
  };
}

/** What stands under titles that were made by hand. Null where there are not two of these. */
const underTitles = (ranked: readonly Ranked[]): IntakeTable | null =>
  ranked.filter(({ rank }) => rank !== null && rank >= BELOW_HEADINGS).length < 2
    ? null
    : tableOfTitled(titledIn(ranked));

const headingRank = ({ level }: Piece): number | null => level;

/** Headings, and what stands under each. */
export const underHeadings = (pieces: readonly Piece[]): IntakeTable | null =>
  tableOfTitled(titledIn(pieces.map((piece) => ({ piece, rank: headingRank(piece) }))));

/** Lines in bold, and what stands under each; headings say where it belongs. */
export const underBold = (pieces: readonly Piece[]): IntakeTable | null =>
  underTitles(
    inLines(pieces, false).map((piece) => {
      const isTitle = piece.level === null && isEmphasised(piece) && isShort(piece.words);
      return {
        piece,
        rank: isTitle ? BELOW_HEADINGS : headingRank(piece),
        title: piece.words.replace(/\s*:$/, ''),
      };
    }),
  );

const NUMBERED = /^(?:\(?\d{1,3}[.)]|\d{1,2}(?:\.\d{1,2})+\.?|[A-Z][.)])\s+(?=\S)/;

/** Lines with a number before them, or in capitals, as somebody typed headings. */
export const underTypedHeadings = (pieces: readonly Piece[]): IntakeTable | null =>
  underTitles(
    inLines(pieces, false).map((piece) => {
      const { words, level } = piece;
      const letters = words.replace(/[^\p{L}]/gu, '');
      const isCapitals =
        letters.length >= 3 && letters === letters.toUpperCase() && letters !== letters.toLowerCase();
      const isTitle =
        level === null &&
        words.length <= 90 &&
        !endsSentence(words) &&
        !words.includes('\n') &&
        (NUMBERED.test(words) || isCapitals);
      // Capitals are the louder: what is numbered beneath them belongs to them.
      const rank = isTitle ? BELOW_HEADINGS + (isCapitals ? 0 : 1) : headingRank(piece);
      return { piece, rank, title: words.replace(NUMBERED, '').replace(/\s*:$/, '') };
    }),
  );

const QUESTION = /^(?:Q|Question|Frage|F|Cwestiwn|C|Ceist)\s*\d*\s*[:.)]\s*/i;
const ANSWER = /^(?:A|Answer|Antwort|Ateb|Reply|Response|Freagra)\s*\d*\s*[:.)]\s*/i;

/** Questions, and what answers each: marked as such, or known by their question mark. */
export function questionsAndAnswers(pieces: readonly Piece[]): IntakeTable | null {
  const lines = inLines(pieces, false);
  const marked = lines.filter(({ words }) => QUESTION.test(words)).length;
  const isMarked = marked >= 2 && lines.some(({ words }) => ANSWER.test(words));
  const isQuestion = ({ words }: Piece) => {
    const said = words.replace(NUMBERED, '');
    if (isMarked) return QUESTION.test(said);
    return isShort(said) && /\?\s*$/.test(said) && !/[.!]\s/.test(said);
  };
  const ranked = lines.map((piece, at): Ranked => {
    // Two questions in a row are one that says more, but the second.
    if (
      isQuestion(piece) &&
      !(at > 0 && isQuestion(lines[at - 1]!) && lines[at - 1]!.of === piece.of && !isMarked)
    )
      return {
        piece,
        rank: BELOW_HEADINGS,
        title: piece.words.replace(NUMBERED, '').replace(QUESTION, ''),
      };
    const said = ANSWER.exec(piece.words);
    const answer =
      said && isMarked ? paragraphPiece(lineBetween(lineOf(piece), said[0].length), piece.of) : piece;
    return { piece: answer, rank: headingRank(piece) };
  });
  return underTitles(ranked);
}

/** Paragraphs that begin in bold: what is bold is the title of the rest. */
export function boldBeginnings(pieces: readonly Piece[]): IntakeTable | null {
  const split = inLines(pieces, true).flatMap((piece): Ranked[] => {
    const line = lineOf(piece);
    let length = 0;
    for (const inline of line) {
      if (inline.type !== 'text' || !inline.marks?.some(({ type }) => type === 'bold')) break;
      length += inline.text.length;
    }
    const title = paragraphPiece(lineBetween(line, 0, length), piece.of);
    const rest = lineBetween(line, length);
    const [first] = rest;
    if (first?.type === 'text') rest[0] = { ...first, text: first.text.replace(/^\s*[:.–—-]\s*/, '') };
    const body = paragraphPiece(
      rest.filter((inline) => inline.type !== 'text' || inline.text !== ''),
      piece.of,
    );
    if (piece.level !== null || length === 0 || title.words.length > 100 || body.words.length < 2)
      return [{ piece, rank: headingRank(piece) }];
    return [
      { piece: title, rank: BELOW_HEADINGS, title: title.words.replace(/\s*[:.–—-]$/, '') },
      { piece: body, rank: null },
    ];
  });
  return underTitles(split);
}

/** Paragraphs whose first line is short: it is the title of those that follow in it. */
export function firstLines(pieces: readonly Piece[]): IntakeTable | null {
  const ranked = pieces.flatMap((piece): Ranked[] => {
    const lines = inLines([piece], false);
    const [first] = lines;
    const isTitle = lines.length > 1 && first!.words.length <= 80 && !endsSentence(first!.words);
    if (piece.level !== null || !isTitle) return [{ piece, rank: headingRank(piece) }];
    return lines.map((line, at) => ({
      piece: line,
      rank: at === 0 ? BELOW_HEADINGS : null,
      title: line.words.replace(/\s*:$/, ''),
    }));
  });
  return underTitles(ranked);
}
