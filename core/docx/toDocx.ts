import {
  AlignmentType,
  Document,
  ExternalHyperlink,
  Footer,
  HeadingLevel,
  LevelFormat,
  PageNumber,
  SectionType,
  Paragraph,
  Tab,
  Table,
  TableCell,
  TableRow,
  TabStopType,
  TextRun,
  WidthType,
  type IParagraphOptions,
  type ParagraphChild,
} from 'docx';
import { lookOf, wordsOfInline, type Block, type Inline, type Passage } from '#core/passage';

/** How a paragraph stands: in a list (which numbering, how deep), in a quote. */
interface Setting {
  list?: { reference: string; level: number };
  quote?: boolean;
  bold?: boolean;
  /** How far in words behind a label stand, in twentieths of a point. */
  hanging?: number | undefined;
}

const LEVELS = [
  HeadingLevel.HEADING_1,
  HeadingLevel.HEADING_2,
  HeadingLevel.HEADING_3,
  HeadingLevel.HEADING_4,
  HeadingLevel.HEADING_5,
  HeadingLevel.HEADING_6,
];

function run(inline: Inline, setting: Setting): ParagraphChild {
  if (inline.type === 'hardBreak') return new TextRun({ break: 1 });
  const marks = inline.marks ?? [];
  const look = lookOf(marks);
  const text = wordsOfInline(inline);
  const link = marks.find((mark) => mark.type === 'link');
  const words = new TextRun({
    // A tab is an element of its own: as a sign among letters some programs show it as a space.
    children: text.split('\t').flatMap((part, at) => (at === 0 ? [part] : [new Tab(), part])),
    bold: look.bold ?? setting.bold,
    italics: look.italic,
    strike: look.struck,
    ...(look.underlined && { underline: {} }),
    ...(look.fixedWidth && { font: 'Courier New' }),
    ...(link ? { style: 'Hyperlink' } : {}),
  });
  return link ? new ExternalHyperlink({ children: [words], link: link.attrs.href }) : words;
}

/** How a paragraph stands that has a label, up to its first tab, or goes on beneath one. */
function behindLabel(content: Inline[] | undefined, left: number): IParagraphOptions {
  const hasLabel = content?.some((inline) => wordsOfInline(inline).includes('\t'));
  if (!hasLabel) return { indent: { left } };
  return { indent: { left, hanging: left }, tabStops: [{ type: TabStopType.LEFT, position: left }] };
}

class Writer {
  /** Each ordered list gets a numbering of its own, so that it starts afresh. */
  readonly numberings: { reference: string; start: number }[] = [];

  private paragraph(
    content: Inline[] | undefined,
    setting: Setting,
    extra: IParagraphOptions = {},
  ): Paragraph {
    return new Paragraph({
      ...extra,
      children: (content ?? []).map((inline) => run(inline, setting)),
      spacing: { after: 120 },
      ...(setting.list ? { numbering: setting.list } : {}),
      ...(setting.quote ? { indent: { left: 567 } } : {}),
      ...(setting.hanging && !extra.heading ? behindLabel(content, setting.hanging) : {}),
    });
  }

  private items(content: Block[], reference: string, setting: Setting): (Paragraph | Table)[] {
    const level = setting.list ? Math.min(setting.list.level + 1, 8) : 0;
    return content.flatMap((item) =>
      ('content' in item ? (item.content as Block[]) : []).flatMap((child, index) =>
        this.block(child, {
          ...setting,
          list: index === 0 || child.type.endsWith('List') ? { reference, level } : undefined,
        }),
      ),
    );
  }

  private table(rows: Block[]): Table {
    const cells = (row: Block) => ('content' in row ? (row.content as Block[]) : []);
    return new Table({
      width: { size: 100, type: WidthType.PERCENTAGE },
      rows: rows.map(
        (row) =>
          new TableRow({
            tableHeader: cells(row).every(({ type }) => type === 'tableHeader'),
            children: cells(row).map((cell) => {
              const { colspan, rowspan } =
                ('attrs' in cell && (cell.attrs as { colspan?: number; rowspan?: number })) || {};
              return new TableCell({
                children: this.blocks(cells(cell), { bold: cell.type === 'tableHeader' }),
                columnSpan: colspan,
                rowSpan: rowspan,
              });
            }),
          }),
      ),
    });
  }

  block(block: Block, setting: Setting): (Paragraph | Table)[] {
    switch (block.type) {
      case 'box':
        return [
          this.paragraph([{ type: 'text', text: block.attrs.name }], setting, { heading: LEVELS[1] }),
          ...this.blocks(block.content, setting),
        ];
      case 'paragraph':
      case 'turn':
        return [this.paragraph(block.content, setting)];
      case 'heading':
        return [this.paragraph(block.content, setting, { heading: LEVELS[block.attrs.level - 1] })];
      case 'bulletList':
        return this.items(block.content, 'bullets', setting);
      case 'orderedList': {
        const reference = `numbers-${this.numberings.length}`;
        this.numberings.push({ reference, start: block.attrs?.start ?? 1 });
        return this.items(block.content, reference, setting);
      }
      case 'blockquote':
        return this.blocks(block.content, { ...setting, quote: true });
      case 'horizontalRule':
        return [new Paragraph({ thematicBreak: true })];
      case 'table':
        return [this.table(block.content)];
      case 'listItem':
      case 'tableRow':
      case 'tableHeader':
      case 'tableCell':
        return this.blocks(block.content, setting);
    }
  }

  blocks(content: Block[], setting: Setting): (Paragraph | Table)[] {
    return content.flatMap((block) => this.block(block, setting));
  }
}

const BULLETS = ['•', '–', '·'];

const levels = (
  format: (level: number) => {
    format: (typeof LevelFormat)[keyof typeof LevelFormat];
    text: string;
    start?: number;
  },
) =>
  Array.from({ length: 9 }, (_, level) => ({
    level,
    alignment: AlignmentType.LEFT,
    ...format(level),
    style: { paragraph: { indent: { left: 454 * (level + 1), hanging: 340 } } },
  }));

/** How a document is laid out where it is a transcript. */
export interface DocxLook {
  /** How far in the words behind a label and its tab stand, in twentieths of a point; left out, there are no labels. */
  hanging?: number;
  /** Whether pages are numbered at their foot. */
  pageNumbers?: boolean;
}

const numberedFoot = () => ({
  footers: {
    default: new Footer({
      children: [
        new Paragraph({
          alignment: AlignmentType.CENTER,
          children: [new TextRun({ children: [PageNumber.CURRENT] })],
        }),
      ],
    }),
  },
});

/** A finished passage as a Word-processing document (Office Open XML); the caller packs it to bytes. */
export function toDocx(passage: Passage, title: string, { hanging, pageNumbers }: DocxLook = {}): Document {
  const writer = new Writer();
  const children = writer.blocks(passage.content, { hanging });
  return documentOf(writer, title, [{ children, ...(pageNumbers && numberedFoot()) }]);
}

/** Finished passages as one Word-processing document, each on a page of its own. `tell` hears after each how many are there. */
export function toDocxPages(
  passages: readonly Passage[],
  title: string,
  tell: (done: number) => void = () => undefined,
): Document {
  const writer = new Writer();
  const sections = passages.map(({ content }, at) => {
    const children = writer.blocks(content, {});
    tell(at + 1);
    return { children, ...(at > 0 && { properties: { type: SectionType.NEXT_PAGE } }) };
  });
  return documentOf(writer, title, sections);
}

type Sections = ConstructorParameters<typeof Document>[0]['sections'];

function documentOf(writer: Writer, title: string, sections: Sections): Document {
  const bullets = levels((level) => ({ format: LevelFormat.BULLET, text: BULLETS[level % 3]! }));
  const numbers = writer.numberings.map(({ reference, start }) => ({
    reference,
    levels: levels((level) => ({
      format: LevelFormat.DECIMAL,
      text: `%${level + 1}.`,
      start: level === 0 ? start : 1,
    })),
  }));
  return new Document({
    title,
    numbering: { config: [{ reference: 'bullets', levels: bullets }, ...numbers] },
    sections,
  });
}
