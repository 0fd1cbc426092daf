import { wordsOfInline, type Block, type Inline, type Mark, type Passage } from '#core/passage';

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
  switch (mark.type) {
    case 'bold':
      return `<strong>${html}</strong>`;
    case 'italic':
      return `<em>${html}</em>`;
    case 'underline':
      return `<u>${html}</u>`;
    case 'strike':
      return `<s>${html}</s>`;
    case 'code':
      return `<code>${html}</code>`;
    case 'link':
      return `<a href="${escapeHtml(mark.attrs.href)}">${html}</a>`;
    case 'placed':
    case 'when':
    case 'confirm':
    case 'confirmed':
    case 'heard':
    case 'disfluency':
      return html;
  }
}

function inlineHtml(inline: Inline): string {
  if (inline.type === 'hardBreak') return '<br>';
  const text = wordsOfInline(inline);
  return (inline.marks ?? []).reduce(wrap, escapeHtml(text));
}

const inlines = (content: Inline[] | undefined) => (content ?? []).map(inlineHtml).join('');

function cell(tag: 'td' | 'th', block: Extract<Block, { type: 'tableCell' | 'tableHeader' }>): string {
  const { colspan = 1, rowspan = 1 } = block.attrs ?? {};
  const spans = (colspan > 1 ? ` colspan="${colspan}"` : '') + (rowspan > 1 ? ` rowspan="${rowspan}"` : '');
  return `<${tag}${spans}>${blocks(block.content)}</${tag}>`;
}

/** Blocks that are an element around the blocks within them. */
const AROUND = { bulletList: 'ul', listItem: 'li', blockquote: 'blockquote', tableRow: 'tr' } as const;

function blockHtml(block: Block): string {
  switch (block.type) {
    case 'box':
      return `<section><h2>${escapeHtml(block.attrs.name)}</h2>${blocks(block.content)}</section>`;
    case 'paragraph':
    case 'turn':
      return `<p>${inlines(block.content)}</p>`;
    case 'heading':
      return `<h${block.attrs.level}>${inlines(block.content)}</h${block.attrs.level}>`;
    case 'orderedList': {
      const start = block.attrs?.start ?? 1;
      return `<ol${start === 1 ? '' : ` start="${start}"`}>${blocks(block.content)}</ol>`;
    }
    case 'horizontalRule':
      return '<hr>';
    case 'table':
      return `<table><tbody>${blocks(block.content)}</tbody></table>`;
    case 'tableHeader':
      return cell('th', block);
    case 'tableCell':
      return cell('td', block);
    default:
      return `<${AROUND[block.type]}>${blocks(block.content)}</${AROUND[block.type]}>`;
  }
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
