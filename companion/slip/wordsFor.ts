import { asPlain, toHtml, toMarkdown } from '#core/exchange';
import type { Passage } from '#core/passage';
import type { Form } from '../messages';
import type { Box, Words } from '../page/box';

/** Whether a passage is one paragraph of words alone: then formatting would say nothing. */
const isPlain = ({ content: [only, ...more] }: Passage): boolean =>
  more.length === 0 &&
  only?.type === 'paragraph' &&
  (only.content ?? []).every(({ type, marks }) => type === 'text' && (marks ?? []).length === 0);

/** HTML that goes on with the line it is put into, where the passage is a single paragraph; spaces at its edges are kept. */
function htmlOf(passage: Passage): string {
  const html = toHtml(passage);
  const [, line] = passage.content.length === 1 ? (/^<p>([\s\S]*)<\/p>\s*$/.exec(html) ?? []) : [];
  return line === undefined ? html : line.replace(/^ /, '&nbsp;').replace(/ $/, '&nbsp;');
}

/** A finished passage as words for a box: with formatting where it takes it, else plain or as Markdown. */
export function wordsFor(passage: Passage, box: Pick<Box, 'isRich'>, form: Form): Words {
  if (form === 'markdown') return { plain: toMarkdown(passage).trimEnd(), html: null };
  const plain = asPlain(passage);
  const isRich = box.isRich && form === 'by-box' && !isPlain(passage);
  return { plain, html: isRich ? htmlOf(passage) : null };
}
