import { BLANK_FORMS, type Block, type BlankForm, type Inline, type Passage } from '#core/passage';

const isForm = (text: string): text is BlankForm => (BLANK_FORMS as readonly string[]).includes(text);

function blank(body: string): Inline {
  const [field = '', form = 'as-is'] = body.split('|');
  if (!isForm(form)) throw new RangeError(`no such form of a blank: {${body}}`);
  return { type: 'blank', attrs: { field, form, placement: null, text: '', state: 'gap', dropped: 'none' } };
}

function inlines(text: string): Inline[] {
  return text.split(/(\*\*.+?\*\*|\n)/).flatMap((piece): Inline[] => {
    if (piece === '\n') return [{ type: 'hardBreak' }];
    const bold = /^\*\*(.+)\*\*$/.exec(piece);
    const words = bold?.[1] ?? piece;
    return words.split(/(\{[^}]+\})/).flatMap((part): Inline[] => {
      if (part === '') return [];
      const inline: Inline = /^\{.+\}$/.test(part) ? blank(part.slice(1, -1)) : { type: 'text', text: part };
      return [bold ? { ...inline, marks: [{ type: 'bold' }] } : inline];
    });
  });
}

function block(text: string): Block {
  const paragraph = (words: string): Block => ({ type: 'paragraph', content: inlines(words) });
  if (!text.startsWith('- ')) return paragraph(text);
  const items = text.split(/\n(?=- )/).map((item) => item.slice(2));
  return {
    type: 'bulletList',
    content: items.map((item) => ({ type: 'listItem', content: [paragraph(item)] })),
  };
}

/**
 * A wording from its compact notation: `{field}` or `{field|form}` is a blank, `**bold**`, an empty line
 * parts paragraphs, lines that start with "- " are a list. Throws a RangeError on a form that does not exist.
 */
export function readCompact(text: string): Passage {
  return {
    type: 'doc',
    content: text
      .trim()
      .split(/\n{2,}/)
      .map(block),
  };
}
