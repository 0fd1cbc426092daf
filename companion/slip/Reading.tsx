import { createElement, Fragment, useEffect, useRef, type ReactNode } from 'react';
import type { Field } from '#core/entry';
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

interface Props {
  passage: Passage;
  fields: readonly Field[];
  /** The field that is asked for just now; null for none. */
  current: string | null;
  goTo: (field: string) => void;
}

function marked(words: ReactNode, { type }: Mark): ReactNode {
  if (type === 'confirm') return <span className="confirm">{words}</span>;
  // A link would leave the page that one writes on.
  const { element } = markRow(type);
  return element && element !== 'a' ? createElement(element, null, words) : words;
}

function Blank({ inline, of }: { inline: Extract<Inline, { type: 'blank' }>; of: Omit<Props, 'passage'> }) {
  const { field, form, text, state } = inline.attrs;
  if (form === 'silent') return null;
  const name = of.fields.find(({ id }) => id === field)?.name ?? '';
  const isCurrent = of.current === field;
  return (
    <span
      className={`blank ${state === 'gap' ? 'gap' : ''} ${isCurrent ? 'current' : ''}`}
      onMouseDown={(event) => {
        event.preventDefault();
        of.goTo(field);
      }}
    >
      {text || <span className="empty">{'\u2007'.repeat(6)}</span>}
      <small>{name}</small>
    </span>
  );
}

const lineOf = (line: readonly Inline[] | undefined, of: Omit<Props, 'passage'>): ReactNode =>
  (line ?? []).map((inline, at) => {
    if (inline.type === 'blank') return <Blank key={at} inline={inline} of={of} />;
    if (inline.type === 'hardBreak') return <br key={at} />;
    const words = (inline.marks ?? []).reduce(marked, wordsOfInline(inline) as ReactNode);
    return <Fragment key={at}>{words}</Fragment>;
  });

function blockOf(block: Block, of: Omit<Props, 'passage'>): ReactNode {
  if (block.type === 'horizontalRule') return <hr />;
  const within = isLine(block) ? lineOf(block.content, of) : blocksOf(block.content, of);
  if (block.type === 'heading') return <p className="heading">{within}</p>;
  const { name, attributes, inner } = elementOf(block);
  return createElement(name, attributes, inner ? createElement(inner, null, within) : within);
}

const blocksOf = (blocks: readonly Block[], of: Omit<Props, 'passage'>): ReactNode =>
  blocks.map((block, at) => <Fragment key={at}>{blockOf(block, of)}</Fragment>);

/** A wording as it reads while it is filled: answers on the ruled lines of their blanks, the names of these in small letters beneath. */
export function Reading({ passage, ...of }: Props) {
  const whole = useRef<HTMLDivElement>(null);
  useEffect(() => {
    whole.current?.querySelector('.current')?.scrollIntoView({ block: 'nearest' });
  });
  return (
    <div ref={whole} className="reading">
      {blocksOf(passage.content, of)}
    </div>
  );
}
