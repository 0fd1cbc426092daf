import { Extension } from '@tiptap/core';
import { Fragment, Slice, type Mark, type Node as EditorNode, type Schema } from '@tiptap/pm/model';
import { Plugin } from '@tiptap/pm/state';

/** The mark a line of a list begins with, where it came as text: which kind it is, its number, how many characters it takes. */
interface ListMark {
  kind: string;
  number: number | null;
  length: number;
}

const WIDE = '[\\t\\u00a0]';
// Round and square ones, those of word processors' symbol fonts, and what is a list mark only where a tab or hard space parts it.
const BULLET = new RegExp(`^\\s*([•‣◦▪●○■⁃\\uf0b7\\uf0a7]|[·*+-](?=\\s)|[–§o](?=${WIDE}))\\s*`, 'u');
const NUMBER = /^\s*(\d{1,3})([.)])\s+/u;

function listMark(line: string): ListMark | null {
  const bullet = BULLET.exec(line);
  if (bullet) return { kind: bullet[1]!, number: null, length: bullet[0].length };
  const number = NUMBER.exec(line);
  return number ? { kind: number[2]!, number: Number(number[1]), length: number[0].length } : null;
}

/** The marks of lines that are a list: at least two together, numbers each one more than the last of their kind. */
export function listMarks(lines: readonly string[]): (ListMark | null)[] {
  const found = lines.map(listMark);
  let start = 0;
  for (let at = 0; at <= found.length; at += 1) {
    if (found[at]) continue;
    const run = found.slice(start, at) as ListMark[];
    const last = new Map<string, number>();
    const isCounted = run.every(({ kind, number }) => {
      const before = last.get(kind);
      if (number !== null) last.set(kind, number);
      return number === null || before === undefined || number === before + 1 || number === 1;
    });
    if (run.length < 2 || !isCounted) found.fill(null, start, at);
    start = at + 1;
  }
  return found;
}

/** The text a node begins with, to its first inline that is none. */
function beginning(node: EditorNode): string {
  let text = '';
  for (let at = 0; at < node.childCount && node.child(at).isText; at += 1) text += node.child(at).text;
  return text;
}

/** Lines of one list, as a list: a kind of mark that comes only later is of a list within. */
function listOf(schema: Schema, lines: readonly { mark: ListMark; node: EditorNode }[]): EditorNode {
  const { kind, number } = lines[0]!.mark;
  const { bulletList, orderedList, listItem } = schema.nodes;
  const items: EditorNode[] = [];
  for (let at = 0; at < lines.length;) {
    const own = lines[at]!;
    let next = at + 1;
    while (next < lines.length && lines[next]!.mark.kind !== kind) next += 1;
    const inner = lines.slice(at + 1, next);
    const content = [own.node.copy(own.node.content.cut(own.mark.length))];
    if (inner.length > 0) content.push(listOf(schema, inner));
    items.push(listItem!.create(null, content));
    at = next;
  }
  return number === null
    ? bulletList!.create(null, items)
    : orderedList!.create(orderedList!.spec.attrs?.start ? { start: number } : null, items);
}

/** What was pasted with its lines that are a list by their marks alone made a list, and without paragraphs of nothing. */
export function withLists(slice: Slice): Slice {
  const nodes: EditorNode[] = [];
  slice.content.forEach((node) => void nodes.push(node));
  const isNothing = (node: EditorNode) => node.isTextblock && node.textContent.trim() === '' && isPlain(node);
  const kept = nodes.length > 1 ? nodes.filter((node) => !isNothing(node)) : nodes;
  if (kept.length === 0) return slice;
  const marks = listMarks(kept.map((node) => (node.type.name === 'paragraph' ? beginning(node) : '')));
  const content: EditorNode[] = [];
  for (let at = 0; at < kept.length; at += 1) {
    const run: { mark: ListMark; node: EditorNode }[] = [];
    for (; at < kept.length && marks[at]; at += 1) run.push({ mark: marks[at]!, node: kept[at]! });
    if (run.length > 0) content.push(listOf(run[0]!.node.type.schema, run));
    if (at < kept.length) content.push(kept[at]!);
  }
  const isFirst = content[0] === nodes[0];
  const isLast = content.at(-1) === nodes.at(-1);
  return new Slice(Fragment.from(content), isFirst ? slice.openStart : 0, isLast ? slice.openEnd : 0);
}

/** Whether a line holds words and line breaks alone. */
function isPlain(node: EditorNode): boolean {
  let plain = true;
  node.forEach((child) => (plain &&= child.isText || child.type.name === 'hardBreak'));
  return plain;
}

/**
 * Plain text as what it is written as: an empty line parts paragraphs, another line end is a line break, and lines that are a list are
 * each their own.
 */
export function sliceOfText(schema: Schema, text: string, marks: readonly Mark[] = []): Slice {
  const { paragraph, hardBreak } = schema.nodes;
  const blocks = text
    .replace(/\r\n?/g, '\n')
    .replace(/^\n+|\n+$/g, '')
    .split(/\n(?:[^\S\n]*\n)+/);
  const paragraphs = blocks.flatMap((block) => {
    // What goes on with an item is written further in.
    const wrapped: string[][] = [];
    for (const line of block.split('\n'))
      if (wrapped.length > 0 && /^\s/.test(line) && !listMark(line)) wrapped.at(-1)!.push(line);
      else wrapped.push([line]);
    const isListed = listMarks(wrapped.map(([line]) => line!));
    const grouped: string[][] = [];
    wrapped.forEach((lines, at) => {
      if (at === 0 || isListed[at] || isListed[at - 1]) grouped.push([...lines]);
      else grouped.at(-1)!.push(...lines);
    });
    return grouped;
  });
  const nodes = paragraphs.map((lines) =>
    paragraph!.create(
      null,
      lines.flatMap((line, at) => [
        ...(at > 0 ? [hardBreak!.create(null, null, marks)] : []),
        ...(line === '' ? [] : [schema.text(line, marks)]),
      ]),
    ),
  );
  return Slice.maxOpen(Fragment.from(nodes));
}

/** Text from elsewhere, as a word processor or a plain text has it. What is copied here is pasted as it is. */
export const PastedText = Extension.create({
  name: 'pastedText',
  addProseMirrorPlugins: () => {
    let isFromElsewhere = false;
    return [
      new Plugin({
        props: {
          transformPastedHTML: (html) => {
            isFromElsewhere = !html.includes('data-pm-slice');
            return html;
          },
          clipboardTextParser: (text, context) => {
            isFromElsewhere = true;
            return sliceOfText(context.doc.type.schema, text, context.marks());
          },
          transformPasted: (slice) => {
            const pasted = isFromElsewhere ? withLists(slice) : slice;
            isFromElsewhere = false;
            return pasted;
          },
        },
      }),
    ];
  },
});
