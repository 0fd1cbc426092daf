import { Mark, Node, type Extensions } from '@tiptap/core';
import StarterKit from '@tiptap/starter-kit';
import { isSafeLink, type BlankAttrs } from '#core/passage';
import { NO_PLACEMENTS } from './placements';
import { tableExtensions } from './tables';

/** The document node; in drafts it carries the placements its blanks belong to. */
const PassageDocument = Node.create({
  name: 'doc',
  topNode: true,
  content: 'block+',
  addAttributes: () => ({ placements: { default: NO_PLACEMENTS, rendered: false } }),
});

const BLANK_DEFAULTS: Record<keyof BlankAttrs, unknown> = {
  field: '',
  form: 'as-is',
  placement: null,
  text: '',
  state: 'gap',
  dropped: 'none',
};

function readBlank(element: HTMLElement): Partial<BlankAttrs> | false {
  try {
    return JSON.parse(element.dataset.blank ?? '') as Partial<BlankAttrs>;
  } catch {
    return false;
  }
}

/** A place where an answer goes: one inline node, so that it cannot be torn apart by typing. */
export const BlankNode = Node.create({
  name: 'blank',
  group: 'inline',
  inline: true,
  atom: true,
  selectable: true,
  draggable: false,
  addAttributes: () =>
    Object.fromEntries(
      Object.entries(BLANK_DEFAULTS).map(([name, value]) => [name, { default: value, rendered: false }]),
    ),
  parseHTML: () => [{ tag: 'span[data-blank]', getAttrs: (element) => readBlank(element) }],
  renderHTML: ({ node }) => ['span', { 'data-blank': JSON.stringify(node.attrs) }, node.attrs.text as string],
  renderText: ({ node }) => node.attrs.text as string,
});

/** Words that came from the bank, and in which placement; what is typed after them does not belong. */
const PlacedMark = Mark.create({
  name: 'placed',
  inclusive: false,
  addAttributes: () => ({
    placement: {
      default: '',
      parseHTML: (element) => element.dataset.placement,
      renderHTML: ({ placement }) => ({ 'data-placement': String(placement) }),
    },
  }),
  parseHTML: () => [{ tag: 'span[data-placement]' }],
  renderHTML: ({ HTMLAttributes }) => ['span', HTMLAttributes, 0],
});

/** The passage model as an editor schema: whatever is pasted is reduced to it. */
export const passageExtensions: Extensions = [
  PassageDocument,
  StarterKit.configure({
    document: false,
    codeBlock: false,
    trailingNode: false,
    link: {
      openOnClick: false,
      autolink: false,
      linkOnPaste: false,
      isAllowedUri: (uri) => isSafeLink(uri ?? ''),
    },
  }),
  ...tableExtensions,
  PlacedMark,
];
