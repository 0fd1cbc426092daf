import {
  BLANK_FORMS,
  isSafeLink,
  MARKS,
  NUMBER_FORMS,
  type BlankForm,
  type Inline,
  type Mark,
  type MarkInBracket,
  type MarkName,
  type NumberForm,
} from '#core/passage';
import { readCondition } from './conditionNotation';
import { readEscape, unescaped } from './escapes';
import { idNamed, type NotationNames } from './names';
import { refuse, type SourceLine } from './sourceLine';

/** What a wording is read with: the fields it may name, and how conditions written within it are kept. */
export interface NotationReading extends NotationNames {
  /** True where fields are not known: names of blanks are then taken for ids. */
  anyField: boolean;
  /** Keeps a condition that was written in place, and gives back its id. */
  keepCondition: (written: ReturnType<typeof readCondition>) => string;
}

const isForm = (form: string): form is BlankForm => (BLANK_FORMS as readonly string[]).includes(form);
const isNumberForm = (form: string): form is NumberForm => (NUMBER_FORMS as readonly string[]).includes(form);
const MOST_MARKS = 16;
/** A mark whose bracket begins with its name. */
const isInBracket = (word: string): word is MarkInBracket =>
  Object.hasOwn(MARKS, word) && 'inBracket' in MARKS[word as MarkName];

/** Words without the spaces around them that no backslash keeps, their escapes read. */
const trimmed = (text: string): string =>
  unescaped(text.replace(/^ +/, '').replace(/((?:^|[^\\])(?:\\\\)*) +$/, '$1'));

/** Parts of a bracket's inside, cut at the bars that no backslash stands before. */
function barParts(text: string): string[] {
  const parts: string[] = [];
  let part = '';
  for (let at = 0; at < text.length; at += 1) {
    if (text[at] === '|') {
      parts.push(part);
      part = '';
    } else if (text[at] === '\\') {
      part += text.slice(at, at + 2);
      at += 1;
    } else part += text[at];
  }
  return [...parts, part].map(trimmed);
}

interface Open {
  mark: Mark;
  /** Where it was opened, to tell of it when it is never closed. */
  at: number;
  sign: string;
}

/** Reads the inlines of a paragraph; its lines are joined by line ends, each of which is a break. */
export class InlineReader {
  private at = 0;
  private readonly text: string;
  private words = '';
  private readonly open: Open[] = [];
  private readonly out: Inline[] = [];

  constructor(
    private readonly lines: readonly SourceLine[],
    private readonly reading: NotationReading,
    /** In a cell of a table a bar ends the reading. */
    private readonly inCell = false,
  ) {
    this.text = lines.map(({ text }) => text).join('\n');
  }

  /** All inlines up to the end. */
  all(): Inline[] {
    while (this.at < this.text.length && !(this.inCell && this.text[this.at] === '|')) this.step();
    const unclosed = this.open.at(-1);
    if (unclosed) this.refuseAt(unclosed.at, { code: 'not-closed', found: unclosed.sign });
    this.flush();
    return this.out;
  }

  /** How many characters of the line were read. */
  get length(): number {
    return this.at;
  }

  private refuseAt(at: number, fault: Parameters<typeof refuse>[2]): never {
    const before = this.text.slice(0, at).split('\n');
    return refuse(this.lines[before.length - 1]!, before.at(-1)!.length, fault);
  }

  private marks(): { marks: Mark[] } | Record<string, never> {
    return this.open.length > 0 ? { marks: this.open.map(({ mark }) => mark) } : {};
  }

  private flush(): void {
    if (this.words === '') return;
    this.out.push({ type: 'text', text: this.words, ...this.marks() });
    this.words = '';
  }

  private push(inline: Inline): void {
    this.flush();
    this.out.push({ ...inline, ...this.marks() });
  }

  private step(): void {
    const { text, at } = this;
    if (text[at] === '\\') return this.escape();
    if (text[at] === '\n') {
      this.push({ type: 'hardBreak' });
      this.at += 1;
    } else if (text.startsWith('**', at)) this.bold();
    else if (text[at] === '{') this.blank();
    else if (text[at] === '[') this.bracket();
    else if (text[at] === ']') this.close(']');
    else if (text[at] === '}') this.refuseAt(at, { code: 'not-open', found: '}' });
    else {
      this.words += text[at];
      this.at += 1;
    }
  }

  private escape(): void {
    const escape = readEscape(this.text, this.at);
    if (!escape || this.text[this.at + 1] === '\n') this.refuseAt(this.at, { code: 'escape-unfinished' });
    this.words += escape.character;
    this.at += escape.length;
  }

  private begin(mark: Mark, sign: string, length: number): void {
    if (this.open.length >= MOST_MARKS) this.refuseAt(this.at, { code: 'too-deep' });
    this.flush();
    this.open.push({ mark, at: this.at, sign });
    this.at += length;
  }

  private bold(): void {
    const isOpen = this.open.some(({ mark }) => mark.type === 'bold');
    if (!isOpen) return this.begin({ type: 'bold' }, '**', 2);
    if (this.open.at(-1)!.mark.type !== 'bold')
      this.refuseAt(this.at, { code: 'closed-crosswise', found: '**' });
    this.flush();
    this.open.pop();
    this.at += 2;
  }

  private close(sign: string): void {
    const last = this.open.at(-1);
    if (!last) this.refuseAt(this.at, { code: 'not-open', found: sign });
    if (last.mark.type === 'bold') {
      const crossed = this.open.some(({ mark }) => mark.type !== 'bold');
      this.refuseAt(
        this.at,
        crossed ? { code: 'closed-crosswise', found: sign } : { code: 'not-open', found: sign },
      );
    }
    this.flush();
    this.open.pop();
    this.at += 1;
  }

  /** Up to the sign that closes what begins here, escapes left as they are; the sign itself is passed over. */
  private inside(from: number, closing: string): string {
    let end = from;
    while (end < this.text.length && this.text[end] !== closing && this.text[end] !== '\n')
      end += this.text[end] === '\\' ? 2 : 1;
    if (this.text[end] !== closing)
      this.refuseAt(this.at, { code: 'not-closed', found: this.text[this.at]! });
    return this.text.slice(from, end);
  }

  private blank(): void {
    const inside = this.inside(this.at + 1, '}');
    const [name = '', form = 'as-is', ...more] = barParts(inside);
    if (name === '') this.refuseAt(this.at + 1, { code: 'wanted', wanted: 'the name of a field', found: '' });
    if (!isForm(form) || more.length > 0)
      this.refuseAt(this.at + 1 + inside.indexOf('|') + 1, {
        code: 'form-unknown',
        found: [form, ...more].join('|'),
      });
    const field = idNamed(this.reading.fields, name) ?? (this.reading.anyField ? name : undefined);
    if (field === undefined) this.refuseAt(this.at + 1, { code: 'field-unknown', found: name });
    this.push({
      type: 'blank',
      attrs: { field, form, placement: null, text: '', state: 'gap', dropped: 'none' },
    });
    this.at += inside.length + 2;
  }

  private bracket(): void {
    const word = /^\[([a-z]*)/.exec(this.text.slice(this.at))![1]!;
    if (isInBracket(word) && this.text[this.at + 1 + word.length] === ':')
      return this.begin({ type: word }, `[${word}`, this.pastColon(this.at + 1 + word.length));
    if (word === 'link') return this.link();
    if (word === 'when') return this.when();
    const inside = this.inside(this.at + 1, ']');
    const rest = inside.slice(word.length).replace(/^ /, '');
    const atom = this.atom(word, rest);
    if (atom === undefined)
      this.refuseAt(this.at, { code: 'bracket-unknown', found: word || inside.slice(0, 20) });
    if (atom) this.push(atom);
    this.at += inside.length + 2;
  }

  /** How much stands from here to after the colon at `colon` and the space behind it. */
  private pastColon(colon: number): number {
    return colon + 1 + (this.text[colon + 1] === ' ' ? 1 : 0) - this.at;
  }

  /** What stands in brackets by itself; null for nothing at all, undefined for what is not known. */
  private atom(word: string, rest: string): Inline | null | undefined {
    switch (word) {
      case '':
        return rest === '' ? null : undefined;
      case 'break':
        return { type: 'hardBreak' };
      case 'caret':
        return { type: 'caretMark' };
      case 'time':
        if (rest !== '' && rest !== 'unclear')
          this.refuseAt(this.at, { code: 'wanted', wanted: '"unclear" or nothing', found: rest });
        return { type: 'timeCode', attrs: { at: null, unclear: rest === 'unclear', text: '' } };
      case 'include':
        return { type: 'include', attrs: { entry: this.given(barParts(rest)[0], 'the id of an entry') } };
      case 'see':
        return { type: 'reference', attrs: { to: barParts(rest)[0] ?? '', text: '' } };
      case 'number': {
        const [list, form = '1', id = ''] = barParts(rest);
        if (!isNumberForm(form)) this.refuseAt(this.at, { code: 'form-unknown', found: form });
        return {
          type: 'number',
          attrs: { list: this.given(list, 'the name of a list'), form, id, text: '' },
        };
      }
      default:
        return undefined;
    }
  }

  private given(words: string | undefined, wanted: string): string {
    return words || this.refuseAt(this.at, { code: 'wanted', wanted, found: '' });
  }

  private link(): void {
    const found = /^\[link <((?:\\.|[^\\>\n])*)>:/.exec(this.text.slice(this.at));
    if (!found)
      this.refuseAt(this.at, { code: 'wanted', wanted: '“[link <https://...>: words]”', found: '' });
    const href = unescaped(found[1]!);
    if (!isSafeLink(href))
      this.refuseAt(this.at + 7, {
        code: 'wanted',
        wanted: 'a link to http, https, mailto or tel',
        found: href,
      });
    this.begin({ type: 'link', attrs: { href } }, '[link', this.pastColon(this.at + found[0].length - 1));
  }

  private when(): void {
    const from = this.at + '[when '.length;
    if (this.text[from] === '(') return this.whenWritten(from);
    const inside = this.inside(from, ':');
    const condition = unescaped(inside.trim());
    if (!this.reading.conditions.some(({ id }) => id === condition) && !condition.includes('~'))
      this.refuseAt(from, { code: 'condition-unknown', found: condition });
    this.beginWhen(condition, from + inside.length);
  }

  private beginWhen(condition: string, colon: number): void {
    this.begin({ type: 'when', attrs: { condition, placement: null } }, '[when', this.pastColon(colon));
  }

  /** A condition written in place, in round brackets. */
  private whenWritten(from: number): void {
    const row = this.text.slice(0, from).split('\n').length - 1;
    const line = this.lines[row]!;
    const start = from - (this.text.lastIndexOf('\n', from - 1) + 1);
    const { condition, length } = readCondition(
      { text: line.text.slice(start), line: line.line, column: line.column + start },
      this.reading.fields,
    );
    const colon = from + length;
    if (this.text[colon] !== ':')
      this.refuseAt(colon, { code: 'wanted', wanted: '“:”', found: this.text.slice(colon, colon + 20) });
    this.beginWhen(this.reading.keepCondition({ condition, length }), colon);
  }
}
