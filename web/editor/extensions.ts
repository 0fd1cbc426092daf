import { Mark, Node, type Extensions } from '@tiptap/core';
import StarterKit from '@tiptap/starter-kit';
import { INLINES, isSafeLink, type Inline } from '#core/passage';
import { BoxView } from './boxView';
import { PastedText } from './pastedText';
import { NO_PLACEMENTS } from './placements';
import { tableExtensions } from './tables';
import { TurnNode } from './turnView';
import { RecordingClock, TimeCodeView } from './recordingClock';

/** The document node; in drafts it carries the placements its blanks belong to, and may hold turns. */
const passageDocument = (of: 'wording' | 'draft') =>
  Node.create({
    name: 'doc',
    topNode: true,
    content: of === 'draft' ? '(block | box | turn)+' : '(block | box)+',
    addAttributes: () => ({ placements: { default: NO_PLACEMENTS, rendered: false } }),
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

/** Puts a node's attributes into the page as data, so that copying within a draft keeps them. */
function readData(element: HTMLElement, name: string): Record<string, unknown> | false {
  try {
    return JSON.parse(element.dataset[name] ?? '') as Record<string, unknown>;
  } catch {
    return false;
  }
}

/** An inline that cannot be torn apart by typing: a row of the passage's table. */
const inlineAtom = (name: Inline['type']) =>
  Node.create({
    name,
    group: 'inline',
    inline: true,
    atom: true,
    selectable: true,
    draggable: false,
    addAttributes: () =>
      Object.fromEntries(
        Object.entries(INLINES[name].carries ?? {}).map(([key, value]) => [
          key,
          { default: value, rendered: false },
        ]),
      ),
    parseHTML: () => [
      {
        tag: `span[data-${name.toLowerCase()}]`,
        getAttrs: (element) => readData(element, name.toLowerCase()),
      },
    ],
    renderHTML: ({ node }) => [
      'span',
      { [`data-${name.toLowerCase()}`]: JSON.stringify(node.attrs), class: `atom-${name.toLowerCase()}` },
      (node.attrs.text as string | undefined) ?? '',
    ],
    renderText: ({ node }) => (node.attrs.text as string | undefined) ?? '',
  });

/** A place where an answer goes. */
export const BlankNode = inlineAtom('blank');
/** Optional words that do not stand now. */
const FoldedNode = inlineAtom('folded');
/** Another entry's wording, within a wording; a draft has its words instead. */
export const IncludeNode = inlineAtom('include');
/** Where the caret should stand afterwards. */
export const CaretMarkNode = inlineAtom('caretMark');
/** A number of a list, and a reference to one. */
export const NumberNode = inlineAtom('number');
export const ReferenceNode = inlineAtom('reference');

/** The time in the recording, put into the text. */
export const TimeCodeNode = inlineAtom('timeCode');

/** When in the recording words begin to be heard; what is typed among them is heard with them. */
const HeardMark = Mark.create({
  name: 'heard',
  addAttributes: () => ({ at: { default: 0, rendered: false } }),
  renderHTML: () => ['span', 0],
});

/** A filler, a stammer or a false start: heard, and left out of what goes out where one wants it clean. */
const DisfluencyMark = Mark.create({
  name: 'disfluency',
  inclusive: false,
  parseHTML: () => [{ tag: 'span.disfluency' }],
  renderHTML: () => ['span', { class: 'disfluency' }, 0],
});

/** A box of its own for a part such as Subject, at the head of a draft; a comment, beside the words it is on; or a marking, at its place on a page. */
const BoxNode = Node.create({
  name: 'box',
  content: 'block+',
  isolating: true,
  defining: true,
  addAttributes: () => ({
    name: {
      default: '',
      parseHTML: (element) => element.dataset.box,
      renderHTML: ({ name }) => ({ 'data-box': String(name), 'aria-label': String(name), role: 'group' }),
    },
    // Not taken along where it is copied: the words are, and what they were on is elsewhere.
    comment: { default: null, rendered: false },
    marking: { default: null, rendered: false },
  }),
  parseHTML: () => [{ tag: 'section[data-box]' }],
  renderHTML: ({ HTMLAttributes }) => ['section', { ...HTMLAttributes, class: 'box' }, 0],
  addNodeView:
    () =>
    ({ node }) =>
      new BoxView(node),
});

const PlayableTime = TimeCodeNode.extend({
  addNodeView:
    () =>
    ({ node, editor }) =>
      new TimeCodeView(node, editor),
});

/** An optional passage: several can stand in each other. In a wording what is typed at its end belongs to it. */
const whenMark = (inclusive: boolean) =>
  Mark.create({
    name: 'when',
    inclusive,
    excludes: '',
    addAttributes: () => ({
      condition: {
        default: '',
        parseHTML: (element) => element.dataset.when,
        renderHTML: ({ condition }) => ({ 'data-when': String(condition) }),
      },
      placement: {
        default: null,
        parseHTML: (element) => element.dataset.of ?? null,
        renderHTML: ({ placement }) => (placement ? { 'data-of': String(placement) } : {}),
      },
    }),
    parseHTML: () => [{ tag: 'span[data-when]' }],
    renderHTML: ({ HTMLAttributes }) => ['span', HTMLAttributes, 0],
  });

/** A statement that must be looked at before the draft can be finished. */
const ConfirmMark = Mark.create({
  name: 'confirm',
  inclusive: false,
  parseHTML: () => [{ tag: 'span[data-confirm]' }],
  renderHTML: () => ['span', { 'data-confirm': '', class: 'to-confirm', title: 'not confirmed yet' }, 0],
});

/** A statement that was confirmed for this case: it reads as any other words. */
const ConfirmedMark = Mark.create({
  name: 'confirmed',
  inclusive: false,
  parseHTML: () => [{ tag: 'span[data-confirmed]' }],
  renderHTML: () => ['span', { 'data-confirmed': '' }, 0],
});

/**
 * The passage model as an editor schema: whatever is pasted is reduced to it. `draft` for a leaf, where the blank is
 * added as it is shown there; `wording` for the editor of an entry, which shows numbers, references and the like as
 * what they stand for and adds those nodes itself.
 */
export const passageExtensions = (of: 'wording' | 'draft'): Extensions => [
  passageDocument(of),
  BoxNode,
  whenMark(of === 'wording'),
  ConfirmMark,
  ...(of === 'draft'
    ? [
        ConfirmedMark,
        HeardMark,
        DisfluencyMark,
        NumberNode,
        ReferenceNode,
        CaretMarkNode,
        TurnNode,
        PlayableTime,
        RecordingClock,
      ]
    : []),
  FoldedNode,
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
  PastedText,
];
