import { COMMENT_COUNTS, PLAIN_SIGNS, type CommentUse, type EntryContent, type Sign } from '#core/entry';
import { Cursor } from './cursor';
import { named, unescaped, valueOf } from './escapes';
import { refuse, type SourceLine } from './sourceLine';

/** What a sign looks for, as its line says it. */
function signLine(sign: Sign): string {
  switch (sign.kind) {
    case 'words':
      return `sign words: ${sign.words.map(named).join(', ')}`;
    case 'pattern':
      return `sign pattern: ${valueOf(sign.pattern)}`;
    case 'long-paragraph':
    case 'long-sentence':
      return `sign ${sign.kind}: ${sign.most}`;
    default:
      return `sign: ${sign.kind}`;
  }
}

/** What an entry is as a comment, in lines of its head. */
export function commentLines({ comment }: EntryContent): string[] {
  if (!comment) return [];
  const { counts, criterion, signs = [] } = comment;
  const isSaid = counts !== undefined || criterion !== '' || signs.length === 0;
  return [
    ...(isSaid ? [`counts${counts ? ` as ${counts}` : ''}: ${valueOf(criterion)}`.trimEnd()] : []),
    ...signs.map(signLine),
  ];
}

function wordsIn(value: SourceLine): string[] {
  const cursor = new Cursor(value);
  const words = [cursor.spaces().name()];
  while (cursor.spaces().take(/,/) !== null) words.push(cursor.spaces().name());
  cursor.end();
  return words;
}

const wanted = (line: SourceLine, what: string): never =>
  refuse(line, 0, { code: 'wanted', wanted: what, found: line.text.slice(0, 30) });

function readSign(line: SourceLine, kind: string, value: SourceLine): Sign {
  if (kind === 'words') return { kind, words: wordsIn(value) };
  if (kind === 'pattern') return { kind, pattern: unescaped(value.text.replace(/^ +/, '')) };
  if (kind === 'long-paragraph' || kind === 'long-sentence') {
    const cursor = new Cursor(value);
    const most = cursor.number();
    cursor.end();
    return { kind, most };
  }
  const said = kind === '' ? value.text.trim() : kind;
  const plain = PLAIN_SIGNS.find((one) => one === said);
  return plain
    ? { kind: plain }
    : wanted(line, `a sign: words, pattern, long-paragraph, long-sentence, ${PLAIN_SIGNS.join(', ')}`);
}

/** Reads a line of the head that says what an entry is as a comment, onto what others said; null for a line of something else. */
export function readCommentLine(
  line: SourceLine,
  key: string,
  value: SourceLine,
  known: CommentUse | undefined,
): CommentUse | null {
  const so: CommentUse = known ?? { criterion: '' };
  const [, counts] = /^counts(?: as ([a-z]+))?$/.exec(key) ?? [null, null];
  if (counts !== null) {
    const as = COMMENT_COUNTS.find((one) => one === counts);
    if (counts !== undefined && !as) wanted(line, 'counts as praise, or counts as fault');
    return { ...so, criterion: unescaped(value.text.trim()), ...(as && { counts: as }) };
  }
  const [, kind] = /^sign(?: (\S+))?$/.exec(key) ?? [null, null];
  if (kind === null) return null;
  return { ...so, signs: [...(so.signs ?? []), readSign(line, kind ?? '', value)] };
}
