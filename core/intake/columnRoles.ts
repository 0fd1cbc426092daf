import { LANGUAGES, tagOfLanguage } from '#core/language';
import { SECTION_HEAD, wordsOfCell, type IntakeTable } from './intakeTable';
import { normalisedHead } from './normalisedHead';
import { roleOfHead, type ColumnRole } from './roleOfHead';

/** What a column is joined to. */
export interface JoinedColumn {
  role: ColumnRole;
  /** Of a wording: the language it is in (BCP 47), where the column has one of its own. */
  language?: string;
}

/** Languages that columns and cells are recognised by, as a person calls them. */
export const KNOWN_LANGUAGES: readonly string[] = [
  ...LANGUAGES.filter((tag) => tag !== 'en-US'),
  ...['gd', 'ru', 'tr', 'ar', 'hi', 'ur', 'zh'],
];

/** The language that words name, by itself or in brackets; null for none. */
export function languageNamed(words: string): string | null {
  for (const part of [words, ...words.split(/[^\p{L}-]+/u)]) {
    // Two letters alone may be any abbreviation but for the commonest tags.
    if (part.length < 2 || (part.length === 2 && !/^(en|cy|de|fr|ga)$/i.test(part))) continue;
    const tag = tagOfLanguage(part, KNOWN_LANGUAGES);
    if (KNOWN_LANGUAGES.includes(tag)) return tag;
  }
  return null;
}

/** What the cells of a column are like. */
interface Shape {
  filled: number;
  distinct: number;
  /** Characters, of those that are filled. */
  mean: number;
  longest: number;
  /** How many are one word, without a space. */
  tokens: number;
  /** How many are figures, days or marks alone. */
  figures: number;
}

const LOOKED_AT = 500;

function shapeOf(cells: readonly string[]): Shape {
  const filled = cells.filter((cell) => cell !== '').slice(0, LOOKED_AT);
  const count = (holds: (cell: string) => boolean) => filled.filter(holds).length;
  return {
    filled: filled.length,
    distinct: new Set(filled.map((cell) => cell.toLowerCase())).size,
    mean: filled.reduce((sum, { length }) => sum + length, 0) / Math.max(1, filled.length),
    longest: filled.reduce((most, { length }) => Math.max(most, length), 0),
    tokens: count((cell) => /^\S{1,24}$/u.test(cell)),
    figures: count((cell) => /^[^\p{L}]+$/u.test(cell) && /^[\d\s.,:/()+x×✓–-]+$/u.test(cell)),
  };
}

const isCueLike = ({ filled, tokens, distinct, figures, mean }: Shape) =>
  filled > 0 && tokens >= 0.9 * filled && distinct >= 0.9 * filled && figures < 0.5 * filled && mean <= 14;
const isFigures = ({ filled, figures }: Shape) => filled > 0 && figures >= 0.8 * filled;
const isOfGroups = ({ filled, distinct, mean }: Shape) => filled >= 4 && distinct <= filled / 2 && mean <= 40;
const isLanguages = (cells: readonly string[]) => {
  const filled = cells.filter((cell) => cell !== '').slice(0, LOOKED_AT);
  return filled.length > 1 && filled.every((cell) => cell.length <= 20 && languageNamed(cell) !== null);
};

/** Takes each role that one column alone has away from all but the best: the first. */
const ONCE: readonly ColumnRole[] = ['title', 'cue', 'purpose', 'note', 'language'];

/** What each column is by its head. */
function byHeads({ heads }: IntakeTable): (JoinedColumn | null)[] {
  const taken = new Set<ColumnRole>();
  return heads.map((head) => {
    if (head === SECTION_HEAD) return { role: 'collection' };
    const language = languageNamed(head);
    const said = roleOfHead(head.includes(':') && language ? head.slice(head.indexOf(':') + 1) : head);
    // A column that is called by a language holds what is said in it.
    const role = language !== null && (said === null || said === 'wording') ? 'wording' : said;
    if (role === null) return null;
    if (ONCE.includes(role) && taken.has(role)) return role === 'title' ? null : { role: 'leave' };
    taken.add(role);
    return role === 'wording' && language ? { role, language } : { role };
  });
}

/** The place of the best of those that are not joined yet; -1 for none that fits. */
function best(
  joined: readonly (JoinedColumn | null)[],
  shapes: readonly Shape[],
  fits: (shape: Shape, at: number) => boolean,
  value: (shape: Shape, at: number) => number,
): number {
  let found = -1;
  for (const [at, shape] of shapes.entries()) {
    if (joined[at] !== null || shape.filled === 0 || !fits(shape, at)) continue;
    if (found < 0 || value(shape, at) > value(shapes[found]!, found)) found = at;
  }
  return found;
}

/** Without a wording there is no entry: the column with the longest cells is taken for it, whatever was thought of it before. */
function mustHaveWording(joined: (JoinedColumn | null)[], shapes: readonly Shape[]): void {
  if (joined.some((one) => one?.role === 'wording')) return;
  const free = best(
    joined,
    shapes,
    (shape) => !isFigures(shape),
    ({ mean }) => mean,
  );
  const named = joined.map((one, at) => [one?.role, at] as const);
  const parts = named.filter(([role]) => role === 'part' || role === 'purpose' || role === 'note');
  const longest = (ats: number[]) => ats.sort((a, b) => shapes[b]!.mean - shapes[a]!.mean)[0];
  const other = longest(parts.map(([, at]) => at));
  const title = named.find(([role]) => role === 'title')?.[1];
  const at = free >= 0 ? free : (other ?? title);
  if (at !== undefined && shapes[at]!.filled > 0) joined[at] = { role: 'wording' };
}

/** What columns are of which nothing was said, by what is in them. */
function byContents(
  joined: (JoinedColumn | null)[],
  shapes: readonly Shape[],
  cells: readonly string[][],
): void {
  const has = (role: ColumnRole) => joined.some((one) => one?.role === role);
  const put = (at: number, role: ColumnRole) => at >= 0 && (joined[at] = { role });
  if (!has('language'))
    put(
      best(
        joined,
        shapes,
        (_, at) => isLanguages(cells[at]!),
        () => 1,
      ),
      'language',
    );
  mustHaveWording(joined, shapes);
  if (!has('cue'))
    put(
      best(joined, shapes, isCueLike, ({ mean }) => -mean),
      'cue',
    );
  if (!has('title'))
    put(
      best(
        joined,
        shapes,
        (shape) => !isFigures(shape) && shape.longest <= 200 && shape.distinct > shape.filled / 2,
        (shape) => shape.distinct / shape.filled,
      ),
      'title',
    );
  if (!has('collection'))
    put(
      best(joined, shapes, isOfGroups, ({ distinct }) => -distinct),
      'collection',
    );
}

/** A subject beside nothing that would be its message is what rows are grouped by, or their title. */
function settleSubjects(joined: (JoinedColumn | null)[], shapes: readonly Shape[]): void {
  joined.forEach((one, at) => {
    if (one?.role !== 'part') return;
    const isAlone = !joined.some((other) => other?.role === 'title' || other?.role === 'collection');
    if (isAlone && isOfGroups(shapes[at]!)) joined[at] = { role: 'collection' };
  });
}

/** Of two columns of wordings without a language, the shorter is a title where there is none; what is left are tags or nothing. */
function settleWordings(joined: (JoinedColumn | null)[], shapes: readonly Shape[]): void {
  const wordings = joined.flatMap((one, at) => (one?.role === 'wording' && !one.language ? [at] : []));
  if (wordings.length < 2) return;
  const [longest, ...others] = wordings.sort((a, b) => shapes[b]!.mean - shapes[a]!.mean);
  const hasTitle = joined.some((one) => one?.role === 'title');
  const shortest = others.at(-1)!;
  if (!hasTitle && shapes[shortest]!.mean * 2 < shapes[longest!]!.mean) joined[shortest] = { role: 'title' };
}

/** What each column of a table most likely is, by its head and by what is in it. */
export function proposedColumns(table: IntakeTable): JoinedColumn[] {
  const cells = table.heads.map((_, at) => table.rows.map((row) => wordsOfCell(row[at]).trim()));
  const shapes = cells.map(shapeOf);
  const joined = byHeads(table);
  // A column of cues is never of sentences, and one of figures is no cue, whatever its head says.
  joined.forEach((one, at) => {
    const shape = shapes[at]!;
    if (one?.role === 'cue' && shape.filled > 0 && shape.mean > 40) joined[at] = null;
  });
  settleSubjects(joined, shapes);
  settleWordings(joined, shapes);
  byContents(joined, shapes, cells);
  return joined.map((one) => one ?? { role: 'leave' });
}

/** What heads are remembered by, so that a table of the same columns is joined as it was the last time. */
export const headsKey = (heads: readonly string[]): string => heads.map(normalisedHead).join('|');
