import { Fragment, useEffect, useRef, type ReactNode } from 'react';
import type { Field } from '#core/entry';
import { wordsOfInline, type Block, type Inline, type Mark, type Passage } from '#core/passage';

interface Props {
  passage: Passage;
  fields: readonly Field[];
  /** The field that is asked for just now; null for none. */
  current: string | null;
  goTo: (field: string) => void;
}

function marked(words: ReactNode, { type }: Mark): ReactNode {
  switch (type) {
    case 'bold':
      return <strong>{words}</strong>;
    case 'italic':
      return <em>{words}</em>;
    case 'underline':
      return <u>{words}</u>;
    case 'strike':
      return <s>{words}</s>;
    case 'code':
      return <code>{words}</code>;
    case 'confirm':
      return <span className="confirm">{words}</span>;
    default:
      return words;
  }
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
  switch (block.type) {
    case 'paragraph':
    case 'turn':
      return <p>{lineOf(block.content, of)}</p>;
    case 'heading':
      return <p className="heading">{lineOf(block.content, of)}</p>;
    case 'bulletList':
      return <ul>{blocksOf(block.content, of)}</ul>;
    case 'orderedList':
      return <ol start={block.attrs?.start ?? 1}>{blocksOf(block.content, of)}</ol>;
    case 'listItem':
      return <li>{blocksOf(block.content, of)}</li>;
    case 'blockquote':
      return <blockquote>{blocksOf(block.content, of)}</blockquote>;
    case 'horizontalRule':
      return <hr />;
    case 'table':
      return (
        <table>
          <tbody>{blocksOf(block.content, of)}</tbody>
        </table>
      );
    case 'tableRow':
      return <tr>{blocksOf(block.content, of)}</tr>;
    case 'tableCell':
    case 'tableHeader':
      return <td>{blocksOf(block.content, of)}</td>;
    default:
      return null;
  }
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
