import {
  elementOf,
  isLine,
  markRow,
  wordsOfInline,
  type Block,
  type Inline,
  type Mark,
  type Passage,
} from '#core/passage';

const ESCAPES: Record<string, string> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};
/** Text with what means something in HTML written so that it means nothing. */
export const escapeHtml = (text: string) => text.replace(/[&<>"']/g, (character) => ESCAPES[character]!);

function wrap(html: string, mark: Mark): string {
  const { element } = markRow(mark.type);
  if (!element) return html;
  const href = mark.type === 'link' ? ` href="${escapeHtml(mark.attrs.href)}"` : '';
  return `<${element}${href}>${html}</${element}>`;
}

function inlineHtml(inline: Inline): string {
  if (inline.type === 'hardBreak') return '<br>';
  const text = wordsOfInline(inline);
  return (inline.marks ?? []).reduce(wrap, escapeHtml(text));
}

/** What stands within a block's element: a text of a draft is headed by its name. */
function inside(block: Block): string {
  if (isLine(block)) return (block.content ?? []).map(inlineHtml).join('');
  const head = block.type === 'box' ? `<h2>${escapeHtml(block.attrs.name)}</h2>` : '';
  return 'content' in block ? head + blocks(block.content) : '';
}

function blockHtml(block: Block): string {
  if (block.type === 'horizontalRule') return '<hr>';
  const { name, attributes = {}, inner } = elementOf(block);
  const written = Object.entries(attributes).map(([key, value]) => ` ${key.toLowerCase()}="${value}"`);
  const html = inner ? `<${inner}>${inside(block)}</${inner}>` : inside(block);
  return `<${name}${written.join('')}>${html}</${name}>`;
}

const blocks = (content: Block[]): string => content.map(blockHtml).join('');

/** A passage as an HTML fragment: plain elements, no classes or styles, every text escaped. */
export function toHtml(passage: Passage): string {
  return blocks(passage.content);
}

/** A passage as a whole HTML page; `language` is a BCP 47 tag. */
export function toHtmlPage(passage: Passage, title: string, language: string): string {
  return `<!doctype html>
<html lang="${escapeHtml(language)}">
<head><meta charset="utf-8"><title>${escapeHtml(title)}</title></head>
<body>
${toHtml(passage)}
</body>
</html>
`;
}
