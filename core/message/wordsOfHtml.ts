import { Parser } from 'htmlparser2';

/** Nothing of these is words of a message. */
const UNREAD = new Set(['script', 'style', 'title', 'head', 'template', 'noscript', 'object', 'svg']);
const BLOCKS = new Set(
  'address article blockquote div dl dt dd figure footer form h1 h2 h3 h4 h5 h6 header hr li ol p pre section table tr ul'.split(
    ' ',
  ),
);

/** Words as they are read on a page: one space for many. */
const collapsed = (text: string) => text.replace(/[ \t\r\n]+/g, ' ');

/** Lines without those that are empty at the ends, and with one for many between. */
function trimmed(lines: readonly string[]): string[] {
  const text = lines.map((line) => line.trimEnd()).join('\n');
  return text
    .replace(/\n{3,}/g, '\n\n')
    .replace(/^\n+|\n+$/g, '')
    .split('\n');
}

/**
 * The words of an HTML message as plain text: paragraphs by empty lines, what is quoted behind ">", items behind "-". It is read tag by
 * tag, and never becomes a page: nothing of it is run, shown or fetched.
 */
export function wordsOfHtml(html: string): string {
  // The lines of the text, and within it of each quotation that is open.
  const open: string[][] = [['']];
  let unread = 0;
  const lines = () => open.at(-1)!;
  const endLine = () => void (lines().at(-1) !== '' && lines().push(''));
  const parser = new Parser({
    onopentagname: (name) => {
      if (UNREAD.has(name)) unread += 1;
      if (unread > 0) return;
      if (name === 'br') lines().push('');
      else if (name === 'blockquote') open.push(['']);
      else if (BLOCKS.has(name)) endLine();
      if (name === 'li') lines()[lines().length - 1] = '- ';
    },
    ontext: (text) => {
      if (unread > 0) return;
      const words = collapsed(text);
      const all = lines();
      all[all.length - 1] += all.at(-1) === '' ? words.trimStart() : words;
    },
    onclosetag: (name) => {
      if (UNREAD.has(name)) unread = Math.max(0, unread - 1);
      if (unread > 0) return;
      if (name === 'blockquote' && open.length > 1) {
        const quoted = open.pop()!;
        endLine();
        lines().push(...trimmed(quoted).map((line) => `> ${line}`.trimEnd()), '');
      } else if (BLOCKS.has(name)) endLine();
      if (name === 'p') lines().push('');
    },
  });
  parser.end(html);
  while (open.length > 1) {
    const quoted = open.pop()!;
    lines().push(...trimmed(quoted).map((line) => `> ${line}`.trimEnd()), '');
  }
  return trimmed(lines()).join('\n');
}
