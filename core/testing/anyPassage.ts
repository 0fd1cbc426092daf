import fc from 'fast-check';
import type { Field } from '#core/entry';
import { BLANK_FORMS, NUMBER_FORMS, type Block, type Inline, type Mark, type Passage } from '#core/passage';
import { someWords, words } from './anyWords';

/** What a wording can name: the fields and the conditions of its entry. */
type Names = { fields: readonly Field[]; conditions: readonly string[] };

function marks({ conditions }: Names): fc.Arbitrary<Mark[]> {
  const plain = fc.constantFrom<Mark>(
    { type: 'bold' },
    { type: 'italic' },
    { type: 'underline' },
    { type: 'strike' },
    { type: 'code' },
    { type: 'confirm' },
    { type: 'link', attrs: { href: 'https://hollin.example/a?b=<1>:]' } },
  );
  const when = (id: string): Mark => ({ type: 'when', attrs: { condition: id, placement: null } });
  const any = conditions.length > 0 ? fc.oneof(plain, fc.constantFrom(...conditions.map(when))) : plain;
  return fc.uniqueArray(any, { maxLength: 3, selector: (mark) => JSON.stringify(mark) });
}

function inline(names: Names): fc.Arbitrary<Inline> {
  const bare = fc.oneof<fc.Arbitrary<Inline>[]>(
    { weight: 5, arbitrary: someWords.map((text): Inline => ({ type: 'text', text })) } as never,
    {
      weight: 3,
      arbitrary: fc
        .tuple(fc.constantFrom(...names.fields), fc.constantFrom(...BLANK_FORMS))
        .map(([{ id }, form]): Inline => ({
          type: 'blank',
          attrs: { field: id, form, placement: null, text: '', state: 'gap', dropped: 'none' },
        })),
    } as never,
    fc.constantFrom<Inline>({ type: 'hardBreak' }, { type: 'caretMark' }) as never,
    someWords.map((entry): Inline => ({ type: 'include', attrs: { entry: entry.slice(0, 60) } })) as never,
    fc.tuple(someWords, fc.constantFrom(...NUMBER_FORMS), words).map(([list, form, id]): Inline => ({
      type: 'number',
      attrs: { list: list.slice(0, 60), form, id: id.slice(0, 80), text: '' },
    })) as never,
    fc.boolean().map((unclear): Inline => ({
      type: 'timeCode',
      attrs: { at: null, unclear, text: '' },
    })) as never,
    words.map((to): Inline => ({ type: 'reference', attrs: { to: to.slice(0, 80), text: '' } })) as never,
  );
  return fc.tuple(bare, marks(names)).map(([one, some]) => (some.length > 0 ? { ...one, marks: some } : one));
}

const key = (one: Inline) => JSON.stringify(one.marks ?? []);

/** Words with the same marks are one run, as the editor has them. */
const joined = (line: Inline[]): Inline[] =>
  line.reduce<Inline[]>((out, one) => {
    const last = out.at(-1);
    if (last?.type === 'text' && one.type === 'text' && key(last) === key(one))
      return [...out.slice(0, -1), { ...last, text: last.text + one.text }];
    return [...out, one];
  }, []);

function blocks(names: Names, depth: number): fc.Arbitrary<Block[]> {
  const content = fc.array(inline(names), { maxLength: 5 }).map(joined);
  const line = content.map((some): Block =>
    some.length > 0 ? { type: 'paragraph', content: some } : { type: 'paragraph' },
  );
  if (depth === 0) return fc.array(line, { minLength: 1, maxLength: 2 });
  const inner = blocks(names, depth - 1);
  const items = fc.array(
    inner.map((some): Block => ({ type: 'listItem', content: some })),
    {
      minLength: 1,
      maxLength: 3,
    },
  );
  const spans = fc.constantFrom<{ attrs?: { colspan: number; rowspan: number } }>(
    {},
    { attrs: { colspan: 2, rowspan: 1 } },
  );
  const cell = fc
    .tuple(fc.constantFrom('tableCell' as const, 'tableHeader' as const), inner, spans)
    .map(([type, some, span]): Block => ({ type, ...span, content: some }));
  const row = fc
    .array(cell, { minLength: 1, maxLength: 3 })
    .map((cells): Block => ({ type: 'tableRow', content: cells }));
  const block = fc.oneof(
    { weight: 5, arbitrary: line },
    {
      weight: 1,
      arbitrary: fc
        .tuple(fc.integer({ min: 1, max: 6 }), content)
        .map(([level, some]): Block => ({ type: 'heading', attrs: { level }, content: some })),
    },
    { weight: 1, arbitrary: items.map((some): Block => ({ type: 'bulletList', content: some })) },
    {
      weight: 1,
      arbitrary: fc
        .tuple(
          items,
          fc.constantFrom<{ attrs?: { start?: number; type?: string } }>(
            {},
            { attrs: { start: 3 } },
            { attrs: { type: 'a' } },
          ),
        )
        .map(([some, attrs]): Block => ({ type: 'orderedList', ...attrs, content: some })),
    },
    { weight: 1, arbitrary: inner.map((some): Block => ({ type: 'blockquote', content: some })) },
    { weight: 1, arbitrary: fc.constant<Block>({ type: 'horizontalRule' }) },
    {
      weight: 1,
      arbitrary: fc
        .array(row, { minLength: 1, maxLength: 2 })
        .map((rows): Block => ({ type: 'table', content: rows })),
    },
  );
  return fc.array(block, { minLength: 1, maxLength: 4 });
}

/** Any passage of a wording with these fields and conditions. */
export const anyPassage = (names: Names): fc.Arbitrary<Passage> =>
  blocks(names, 2).map((content) => ({ type: 'doc', content }));
