import {
  isLine,
  wordsOfInline,
  type Block,
  type Inline,
  type Line,
  type Passage,
  type TextRange,
} from '#core/passage';

/** A comment to be put into a docx. */
export interface DocxComment {
  on: TextRange;
  passage: Passage;
  author: string;
  /** When it was written, as an ISO instant. */
  at: string;
}

/** Text as it stands in XML, in an element or a value; what XML has no place for is left out. */
export const escaped = (text: string): string =>
  text

    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;');

/** The first letters of a name, as comments are signed with. */
export const initialsOf = (name: string): string =>
  name
    .split(/\s+/)
    .map((word) => [...word][0] ?? '')
    .join('')
    .toUpperCase()
    .slice(0, 9);

/** How marks are written in a run's properties. Of links only the words are written: their addresses stand behind them. */
const MARKS: Record<string, string> = {
  bold: 'b',
  italic: 'i',
  strike: 'strike',
  underline: 'u',
};

function runXml(inline: Inline, w: string): string {
  if (inline.type === 'hardBreak') return `<${w}r><${w}br/></${w}r>`;
  const words = wordsOfInline(inline);
  if (words === '') return '';
  const marks = (inline.marks ?? []).flatMap(({ type }) => MARKS[type] ?? []);
  // In the order that the schema of run properties has.
  const properties = ['b', 'i', 'strike', 'u']
    .filter((name) => marks.includes(name))
    .map((name) => (name === 'u' ? `<${w}u ${w}val="single"/>` : `<${w}${name}/>`))
    .join('');
  const link = (inline.marks ?? []).find(({ type }) => type === 'link');
  const address = link && 'attrs' in link && 'href' in link.attrs ? ` (${link.attrs.href})` : '';
  return `<${w}r>${properties && `<${w}rPr>${properties}</${w}rPr>`}<${w}t xml:space="preserve">${escaped(words + address)}</${w}t></${w}r>`;
}

/** The lines of a passage, with what stands before those of lists. */
function* labelled(blocks: readonly Block[], label = ''): Generator<{ label: string; line: Line }> {
  let number = 0;
  for (const block of blocks) {
    number += 1;
    if (isLine(block)) {
      yield { label: number === 1 ? label : '', line: block.content ?? [] };
    } else if (block.type === 'bulletList' || block.type === 'orderedList') {
      const start = block.type === 'orderedList' ? (block.attrs?.start ?? 1) : 0;
      for (const [at, item] of block.content.entries())
        if ('content' in item)
          yield* labelled(item.content as Block[], block.type === 'orderedList' ? `${start + at}. ` : '• ');
    } else if ('content' in block) yield* labelled(block.content, label);
  }
}

/** A passage as paragraphs of WordprocessingML; `w` is its prefix, with its colon. Links have their addresses behind their words, tables their cells one under the other. */
export const paragraphsXml = ({ content }: Passage, w: string): string =>
  [...labelled(content)]
    .map(({ label, line }) => {
      const sign = label === '' ? '' : `<${w}r><${w}t xml:space="preserve">${escaped(label)}</${w}t></${w}r>`;
      return `<${w}p>${sign}${line.map((inline) => runXml(inline, w)).join('')}</${w}p>`;
    })
    .join('');

/** A comment as its part has it, under an id; `w` is the prefix of WordprocessingML there, with its colon. */
export function commentXml({ passage, author, at }: DocxComment, id: number, w: string): string {
  const head = `${w}id="${id}" ${w}author="${escaped(author)}" ${w}date="${escaped(at)}" ${w}initials="${escaped(initialsOf(author))}"`;
  return `<${w}comment ${head}>${paragraphsXml(passage, w) || `<${w}p/>`}</${w}comment>`;
}
