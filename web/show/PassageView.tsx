import { Fragment, type ReactNode } from 'react';
import { numbered } from '#core/numbering';
import {
  blankLabel,
  wordsOfInline,
  type BlankAttrs,
  type Block,
  type Inline,
  type Mark,
  type Passage,
} from '#core/passage';

/** How a passage is shown: the name beneath each blank's line, and whether links can be followed. */
interface Look {
  nameOf: (field: string) => string;
  links: boolean;
}

function marked(words: ReactNode, mark: Mark, links: boolean): ReactNode {
  switch (mark.type) {
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
    case 'link':
      return !links ? (
        <u>{words}</u>
      ) : (
        <a href={mark.attrs.href} rel="noreferrer" target="_blank">
          {words}
        </a>
      );
    case 'when':
      return <span className="when">{words}</span>;
    case 'confirm':
      return <span className="to-confirm">{words}</span>;
    case 'placed':
    case 'confirmed':
    case 'heard':
    case 'disfluency':
      return words;
  }
}

/** In a wording a blank carries its field's name; placed, it carries the answer with the name beneath. */
function BlankView({ attrs, name }: { attrs: BlankAttrs; name: string }) {
  if (attrs.placement === null)
    return (
      <span className="blank in-wording" data-form={attrs.form} title={name}>
        {blankLabel(name, attrs.form)}
      </span>
    );
  return (
    <span className="blank to-read" data-state={attrs.state}>
      <span className="blank-words">{attrs.text}</span>
      <span className="blank-name">{name}</span>
    </span>
  );
}

/** What stands for things of a wording that have no words of their own yet. */
const ATOMS: Partial<Record<Inline['type'], ReactNode>> = {
  include: <span className="in-wording-atom">another entry</span>,
};

/** A time that was not set yet: that of a wording. */
const UNSET_TIME = <span className="in-wording-atom">time</span>;

function InlineView({ inline, look }: { inline: Inline; look: Look }) {
  if (inline.type === 'hardBreak') return <br />;
  const words =
    inline.type === 'blank' ? (
      <BlankView attrs={inline.attrs} name={look.nameOf(inline.attrs.field)} />
    ) : (
      (ATOMS[inline.type] ?? (wordsOfInline(inline) || (inline.type === 'timeCode' && UNSET_TIME)))
    );
  return (inline.marks ?? []).reduce<ReactNode>((inner, mark) => marked(inner, mark, look.links), words);
}

function Inlines({ content, look }: { content: Inline[] | undefined; look: Look }) {
  if (!content?.length) return <br />;
  // The order is all that tells inlines apart, and they are never moved.
  return content.map((inline, index) => <InlineView key={index} inline={inline} look={look} />);
}

function BlockView({ block, look }: { block: Block; look: Look }) {
  const inner = () => 'content' in block && <Blocks blocks={block.content as Block[]} look={look} />;
  switch (block.type) {
    case 'box':
      return (
        <section className="box" aria-label={block.attrs.name} data-name={block.attrs.name}>
          {inner()}
        </section>
      );
    case 'paragraph':
    case 'turn':
      return (
        <p>
          <Inlines content={block.content} look={look} />
        </p>
      );
    case 'heading':
      return (
        <p className="text-[1.15em] font-semibold">
          <Inlines content={block.content} look={look} />
        </p>
      );
    case 'bulletList':
      return <ul>{inner()}</ul>;
    case 'orderedList':
      return <ol start={block.attrs?.start ?? 1}>{inner()}</ol>;
    case 'listItem':
      return <li>{inner()}</li>;
    case 'blockquote':
      return <blockquote>{inner()}</blockquote>;
    case 'horizontalRule':
      return <hr />;
    case 'table':
      return (
        <table>
          <tbody>{inner()}</tbody>
        </table>
      );
    case 'tableRow':
      return <tr>{inner()}</tr>;
    case 'tableHeader':
      return <th>{inner()}</th>;
    case 'tableCell':
      return <td>{inner()}</td>;
  }
}

function Blocks({ blocks, look }: { blocks: Block[]; look: Look }) {
  return blocks.map((block, index) => (
    <Fragment key={index}>
      <BlockView block={block} look={look} />
    </Fragment>
  ));
}

/** A passage to read, its blanks as ruled lines. No HTML is ever put in as text. */
export function PassageView({
  passage,
  nameOf,
  links = true,
}: { passage: Passage } & Pick<Look, 'nameOf'> & Partial<Look>) {
  return (
    <div className="prose-leaf">
      <Blocks blocks={numbered(passage).content} look={{ nameOf, links }} />
    </div>
  );
}
