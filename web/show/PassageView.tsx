import { createElement, Fragment, type ReactNode } from 'react';
import { numbered } from '#core/numbering';
import {
  blankLabel,
  elementOf,
  isLine,
  markRow,
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
  if (mark.type === 'when') return <span className="when">{words}</span>;
  if (mark.type === 'confirm') return <span className="to-confirm">{words}</span>;
  if (mark.type !== 'link') return createElement(markRow(mark.type).element ?? Fragment, null, words);
  if (!links) return <u>{words}</u>;
  return (
    <a href={mark.attrs.href} rel="noreferrer" target="_blank">
      {words}
    </a>
  );
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
  if (block.type === 'horizontalRule') return <hr />;
  const within = isLine(block) ? (
    <Inlines content={block.content} look={look} />
  ) : (
    <Blocks blocks={block.content} look={look} />
  );
  if (block.type === 'heading') return <p className="text-[1.15em] font-semibold">{within}</p>;
  if (block.type === 'box')
    return (
      <section className="box" aria-label={block.attrs.name} data-name={block.attrs.name}>
        {within}
      </section>
    );
  const { name, attributes, inner } = elementOf(block);
  return createElement(name, attributes, inner ? createElement(inner, null, within) : within);
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
