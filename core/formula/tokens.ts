import { FormulaFault, type FormulaSpan } from './formulaError';

/** A word, number or sign of a formula, with where it stands. */
export type Token = FormulaSpan &
  (
    | { type: 'number'; value: number }
    | { type: 'text'; value: string }
    // A field by its name; `quoted` when it was written in single quotes.
    | { type: 'name'; value: string; quoted: boolean }
    | { type: 'sign'; value: string }
    | { type: 'end' }
  );

/** A formula may be this long, in characters. */
export const LONGEST_FORMULA = 2000;

const SPACE = /\s+/y;
const NUMBER = /(?:\d+(?:\.\d+)?|\.\d+)(?:[eE][+-]?\d+)?/y;
const NAME = /[\p{L}_][\p{L}\p{M}\p{N}_.]*/uy;
const SIGN = /<>|<=|>=|[-+*/^&=<>%();,]/y;
const TEXT = /"((?:[^"]|"")*)"/y;
const QUOTED = /'((?:[^']|'')*)'/y;

function matchAt(pattern: RegExp, source: string, at: number): RegExpExecArray | null {
  pattern.lastIndex = at;
  return pattern.exec(source);
}

function tokenAt(source: string, at: number): Token {
  const span = (match: RegExpExecArray) => ({ from: at, to: at + match[0].length });
  const number = matchAt(NUMBER, source, at);
  if (number) return { type: 'number', value: Number(number[0]), ...span(number) };
  const text = matchAt(TEXT, source, at);
  if (text) return { type: 'text', value: text[1]!.replaceAll('""', '"'), ...span(text) };
  const quoted = matchAt(QUOTED, source, at);
  if (quoted) return { type: 'name', value: quoted[1]!.replaceAll("''", "'"), quoted: true, ...span(quoted) };
  const name = matchAt(NAME, source, at);
  if (name) return { type: 'name', value: name[0], quoted: false, ...span(name) };
  const sign = matchAt(SIGN, source, at);
  if (sign) return { type: 'sign', value: sign[0], ...span(sign) };
  const found = String.fromCodePoint(source.codePointAt(at)!);
  const wanted = `"'`.includes(found) ? `a closing ${found} further on` : 'a value or an operator';
  throw new FormulaFault({ code: 'syntax', wanted, found, from: at, to: at + found.length });
}

/**
 * A formula cut into its tokens, ended by an `end` token. Numbers, texts and labels are written as OpenFormula 1.3
 * (part 4, section 5) has them. Throws a FormulaFault at a character that starts nothing.
 */
export function tokensOf(source: string): Token[] {
  if (source.length > LONGEST_FORMULA)
    throw new FormulaFault({ code: 'too-long', from: LONGEST_FORMULA, to: source.length });
  const tokens: Token[] = [];
  let at = /^\s*=?/.exec(source)![0].length;
  while (at < source.length) {
    const space = matchAt(SPACE, source, at);
    if (space) {
      at += space[0].length;
      continue;
    }
    const token = tokenAt(source, at);
    tokens.push(token);
    at = token.to;
  }
  tokens.push({ type: 'end', from: source.length, to: source.length });
  return tokens;
}
