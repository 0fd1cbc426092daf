/** Nothing of these is words of a message. */
const UNREAD = new Set(['SCRIPT', 'STYLE', 'TITLE', 'HEAD', 'TEMPLATE', 'NOSCRIPT', 'OBJECT', 'SVG']);
const BLOCKS = new Set(
  'ADDRESS ARTICLE BLOCKQUOTE DIV DL DT DD FIGURE FOOTER FORM H1 H2 H3 H4 H5 H6 HEADER HR LI OL P PRE SECTION TABLE TR UL'.split(
    ' ',
  ),
);

/** Words as they are read on a page: one space for many. */
const collapsed = (text: string) => text.replace(/[ \t\r\n]+/g, ' ');

function linesOf(node: Node, into: string[]): void {
  for (const child of node.childNodes) {
    if (child.nodeType === Node.TEXT_NODE) {
      const words = collapsed(child.textContent ?? '');
      into[into.length - 1] += into.at(-1) === '' ? words.trimStart() : words;
      continue;
    }
    if (!(child instanceof Element) || UNREAD.has(child.tagName.toUpperCase())) continue;
    const tag = child.tagName.toUpperCase();
    if (tag === 'BR') into.push('');
    else if (tag === 'BLOCKQUOTE') {
      const quoted = [''];
      linesOf(child, quoted);
      into.push(...trimmed(quoted).map((line) => `> ${line}`.trimEnd()), '');
    } else {
      const isBlock = BLOCKS.has(tag);
      if (isBlock && into.at(-1) !== '') into.push('');
      if (tag === 'LI') into[into.length - 1] = '- ';
      linesOf(child, into);
      if (isBlock && into.at(-1) !== '') into.push('');
      if (tag === 'P') into.push('');
    }
  }
}

/** Lines without those that are empty at the ends, and with one for many between. */
function trimmed(lines: readonly string[]): string[] {
  const text = lines.map((line) => line.trimEnd()).join('\n');
  return text
    .replace(/\n{3,}/g, '\n\n')
    .replace(/^\n+|\n+$/g, '')
    .split('\n');
}

/**
 * The words of an HTML message as plain text: paragraphs by empty lines, what is quoted behind ">", items behind "-". It is parsed
 * apart from the page: nothing of it is run, shown or fetched.
 */
export function wordsOfHtml(html: string): string {
  const { body } = new DOMParser().parseFromString(html, 'text/html');
  const lines = [''];
  linesOf(body, lines);
  return trimmed(lines).join('\n');
}
