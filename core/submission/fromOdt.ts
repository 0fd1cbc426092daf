import { scanXml, XmlFault, type XmlTag } from './scanXml';
import type { PlaceKind, Span, SpanMark, Submission, SubmissionBlock } from './submission';

/** A file that is no text of OpenDocument, or one that cannot be read as one, with what is wrong. */
export class NotOdt extends Error {}

const TEXT = 'urn:oasis:names:tc:opendocument:xmlns:text:1.0';
const OFFICE = 'urn:oasis:names:tc:opendocument:xmlns:office:1.0';
const STYLE = 'urn:oasis:names:tc:opendocument:xmlns:style:1.0';
const FO = 'urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0';
const DRAW = 'urn:oasis:names:tc:opendocument:xmlns:drawing:1.0';

/** How words of each automatic style look, from what `style:text-properties` says. */
type Looks = Map<string, SpanMark[]>;

const LOOKS: readonly { attr: readonly [string, string]; is: RegExp; mark: SpanMark }[] = [
  { attr: ['font-weight', FO], is: /^(bold|[6-9]00)$/, mark: 'bold' },
  { attr: ['font-style', FO], is: /^(italic|oblique)$/, mark: 'italic' },
  { attr: ['text-underline-style', STYLE], is: /^(?!none$)/, mark: 'underline' },
  { attr: ['text-line-through-style', STYLE], is: /^(?!none$)/, mark: 'strike' },
  { attr: ['text-position', STYLE], is: /^(super|[1-9])/, mark: 'super' },
  { attr: ['text-position', STYLE], is: /^(sub|-)/, mark: 'sub' },
];

class OdtReader {
  readonly blocks: SubmissionBlock[] = [];
  private readonly looks: Looks = new Map();
  private style = '';
  private open: { spans: Span[]; kind: SubmissionBlock['kind']; level?: number; label?: string } | null =
    null;
  /** Lines begun around the one that is open: a note stands within its line. */
  private readonly outer: NonNullable<OdtReader['open']>[] = [];
  private readonly notes: SubmissionBlock[] = [];
  private readonly spanMarks: SpanMark[][] = [];
  private readonly lists: { count: number; isFirst: boolean }[] = [];
  private readonly tables: { table: number; row: number; column: number }[] = [];
  private tableCount = 0;
  private note: { label: string; isLabel: boolean } | null = null;
  private frame = '';
  private ignored = 0;

  start(tag: XmlTag): void {
    if (this.ignored > 0 || this.isIgnored(tag)) {
      this.ignored += 1;
      return;
    }
    this.onOpen[tag.name]?.(tag);
  }

  end(name: string): void {
    if (this.ignored > 0) {
      this.ignored -= 1;
      return;
    }
    this.onClose[name]?.();
  }

  text(words: string): void {
    if (this.ignored > 0) return;
    if (this.note?.isLabel) this.note.label += words;
    // As OpenDocument has it, white space of any length is one space; more is written as such.
    else if (this.open) this.put({ text: words.replace(/[\t\n\r ]+/g, ' ') });
  }

  done(): SubmissionBlock[] {
    return [...this.blocks, ...this.notes];
  }

  /** What is no text of the document: what was deleted, remarks, forms. */
  private isIgnored({ name, uri }: XmlTag): boolean {
    if (uri === TEXT && ['tracked-changes', 'sequence-decls', 'ruby-text'].includes(name)) return true;
    return uri === OFFICE && ['annotation', 'forms'].includes(name);
  }

  private readonly onOpen: Record<string, (tag: XmlTag) => void> = {
    style: (tag) => (this.style = tag.attr('name', STYLE) ?? ''),
    'text-properties': (tag) => {
      const marks = LOOKS.filter(({ attr: [name, uri], is }) => is.test(tag.attr(name, uri) ?? 'none')).map(
        ({ mark }) => mark,
      );
      if (this.style !== '') this.looks.set(this.style, marks);
    },
    p: () => this.line({ kind: this.note ? 'note' : this.lists.length > 0 ? 'item' : 'paragraph' }),
    h: (tag) =>
      this.line({ kind: 'heading', level: Math.min(Number(tag.attr('outline-level', TEXT) ?? 1), 6) }),
    span: (tag) => this.spanMarks.push(this.looks.get(tag.attr('style-name', TEXT) ?? '') ?? []),
    a: () => this.spanMarks.push(['link']),
    s: (tag) => this.put({ text: ' '.repeat(Math.min(Number(tag.attr('c', TEXT) ?? 1), 1000)) }),
    tab: () => this.put({ text: '\t' }),
    'line-break': () => this.put({ text: '\n' }),
    list: () => this.lists.push({ count: 0, isFirst: false }),
    'list-item': () => {
      const list = this.lists.at(-1);
      if (list) Object.assign(list, { count: list.count + 1, isFirst: true });
    },
    table: () => {
      this.tables.push({ table: this.tableCount, row: -1, column: -1 });
      this.tableCount += 1;
    },
    'table-row': () => {
      const table = this.tables.at(-1);
      if (table) Object.assign(table, { row: table.row + 1, column: -1 });
    },
    'table-cell': () => {
      const table = this.tables.at(-1);
      if (table) table.column += 1;
    },
    note: () => {
      this.note = { label: '', isLabel: false };
    },
    'note-citation': () => this.note && (this.note.isLabel = true),
    'note-body': () => {
      if (!this.note) return;
      this.put({ place: 'note', name: this.note.label.slice(0, 40) });
      if (this.open) this.outer.push(this.open);
      this.open = null;
    },
    frame: (tag) => (this.frame = tag.attr('name', DRAW) ?? ''),
    image: () => this.place('picture'),
    object: () => this.place('object'),
  };

  private readonly onClose: Record<string, () => void> = {
    style: () => (this.style = ''),
    p: () => this.endLine(),
    h: () => this.endLine(),
    span: () => this.spanMarks.pop(),
    a: () => this.spanMarks.pop(),
    list: () => this.lists.pop(),
    table: () => this.tables.pop(),
    'note-citation': () => this.note && (this.note.isLabel = false),
    'note-body': () => {
      this.open = this.outer.pop() ?? null;
    },
    note: () => (this.note = null),
  };

  private place(kind: PlaceKind): void {
    this.put({ place: kind, name: this.frame.slice(0, 200) });
  }

  private line(what: Pick<SubmissionBlock, 'kind' | 'level'>): void {
    // What stands in a frame within a line is read as a part of it.
    if (this.open) return;
    const list = this.lists.at(-1);
    const label =
      what.kind === 'note'
        ? { label: this.note!.label.slice(0, 40) }
        : what.kind === 'item' && list
          ? { level: Math.min(this.lists.length - 1, 8), label: list.isFirst ? '•' : '' }
          : {};
    if (list) list.isFirst = false;
    this.open = { ...what, ...label, spans: [] };
  }

  private endLine(): void {
    if (!this.open) return;
    const { spans, ...what } = this.open;
    const table = this.tables.at(-1);
    const cell = table && table.row >= 0 && table.column >= 0 ? { cell: { ...table } } : {};
    const block = { ...what, ...(what.kind === 'note' ? {} : cell), spans };
    (what.kind === 'note' ? this.notes : this.blocks).push(block);
    this.open = null;
  }

  private put(span: Span): void {
    if (!this.open || ('text' in span && span.text === '')) return;
    const found = [...new Set(this.spanMarks.flat())];
    const last = this.open.spans.at(-1);
    // A space that follows one is none.
    if (
      last &&
      'text' in last &&
      'text' in span &&
      last.text.endsWith(' ') &&
      span.text === ' ' &&
      found.length === 0
    )
      return;
    if (last && 'text' in last && 'text' in span && String(last.marks ?? []) === String(found))
      last.text += span.text;
    else this.open.spans.push({ ...span, ...(found.length > 0 && { marks: found }) });
  }
}

/**
 * Reads a text of OpenDocument (ODT) from its part `content.xml`: headings, lists, tables, notes; what is no words is a named place.
 * Throws a NotOdt with what is wrong.
 */
export function readOdt(parts: ReadonlyMap<string, string>): Submission {
  const source = parts.get('content.xml');
  if (source === undefined) throw new NotOdt('it holds no text of an OpenDocument file');
  const reader = new OdtReader();
  try {
    scanXml(source, {
      open: (tag) => reader.start(tag),
      close: ({ name }) => reader.end(name),
      text: (words) => reader.text(words),
    });
  } catch (error) {
    if (error instanceof XmlFault) throw new NotOdt(`it is broken: ${error.message}`);
    throw error;
  }
  return { version: 1, blocks: reader.done(), comments: [] };
}
