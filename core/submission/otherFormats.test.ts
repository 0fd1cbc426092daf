import { describe, expect, test } from '@jest/globals';
import type { Block } from '#core/passage';
import { NotOdt, readOdt, submissionOfPassage, wordsOfBlock, type Submission } from '.';

/** Each block in short: its kind, how deep, its sign, where in a table, its words. */
const short = ({ blocks }: Submission) =>
  blocks.map((block) => {
    const { kind, level, label, cell } = block;
    return [
      kind,
      level ?? '',
      label ?? '',
      cell ? `${cell.table}/${cell.row}/${cell.column}` : '',
      wordsOfBlock(block),
    ].join('|');
  });

describe('a text of OpenDocument', () => {
  const content = (body: string, styles = '') =>
    new Map([
      [
        'content.xml',
        `<office:document-content xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0" xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" xmlns:style="urn:oasis:names:tc:opendocument:xmlns:style:1.0" xmlns:fo="urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0" xmlns:draw="urn:oasis:names:tc:opendocument:xmlns:drawing:1.0"><office:automatic-styles>${styles}</office:automatic-styles><office:body><office:text>${body}</office:text></office:body></office:document-content>`,
      ],
    ]);

  test('headings, lists in lists, tables, notes and places', () => {
    const body = `<text:h text:outline-level="2">Method</text:h>
      <text:p>We   counted<text:s text:c="2"/>twice<text:note><text:note-citation>1</text:note-citation><text:note-body><text:p>Overcast.</text:p></text:note-body></text:note>.</text:p>
      <text:list><text:list-item><text:p>mud</text:p><text:list><text:list-item><text:p>deep</text:p></text:list-item></text:list></text:list-item></text:list>
      <table:table><table:table-row><table:table-cell><text:p>Redshank</text:p></table:table-cell><table:table-cell><text:p>14</text:p></table:table-cell></table:table-row></table:table>
      <text:p><draw:frame draw:name="Map"><draw:image/></draw:frame></text:p>`;
    const read = readOdt(content(body));
    expect(short(read)).toEqual([
      'heading|2|||Method',
      'paragraph||||We counted  twice\uFFFC.',
      'item|0|•||mud',
      'item|1|•||deep',
      'paragraph|||0/0/0|Redshank',
      'paragraph|||0/0/1|14',
      'paragraph||||\uFFFC',
      'note||1||Overcast.',
    ]);
    expect(read.blocks[6]!.spans).toEqual([{ place: 'picture', name: 'Map' }]);
  });

  test('looks come along; remarks, and what was deleted, do not', () => {
    const styles =
      '<style:style style:name="T1"><style:text-properties fo:font-weight="bold"/></style:style>';
    const body = `<text:tracked-changes><text:p>gone</text:p></text:tracked-changes><text:p>a <text:span text:style-name="T1">b</text:span><office:annotation><text:p>remark</text:p></office:annotation></text:p>`;
    expect(readOdt(content(body, styles)).blocks).toEqual([
      { kind: 'paragraph', spans: [{ text: 'a ' }, { text: 'b', marks: ['bold'] }] },
    ]);
  });

  test.each([
    ['no such file', new Map<string, string>()],
    ['a broken one', content('<text:p>')],
  ])('%s is told', (_what, parts) => {
    expect(() => readOdt(parts)).toThrow(NotOdt);
  });
});

test('a passage as a submission: each of its lines, with what it stands in', () => {
  const line = (text: string): Block => ({
    type: 'paragraph',
    content: [{ type: 'text', text, marks: [{ type: 'bold' }] }],
  });
  const item = (...content: Block[]): Block => ({ type: 'listItem', content });
  const content: Block[] = [
    { type: 'heading', attrs: { level: 1 }, content: [{ type: 'text', text: 'Bats' }] },
    {
      type: 'orderedList',
      attrs: { start: 3 },
      content: [item(line('one'), { type: 'bulletList', content: [item(line('in'))] }), item(line('two'))],
    },
    { type: 'blockquote', content: [line('said')] },
    { type: 'horizontalRule' },
    {
      type: 'table',
      content: [
        {
          type: 'tableRow',
          content: [
            { type: 'tableHeader', content: [line('h')] },
            { type: 'tableCell', content: [line('c')] },
          ],
        },
      ],
    },
  ];
  const read = submissionOfPassage({ type: 'doc', content });
  expect(short(read)).toEqual([
    'heading|1|||Bats',
    'item|0|3.||one',
    'item|1|•||in',
    'item|0|4.||two',
    'quote||||said',
    'paragraph|||0/0/0|h',
    'paragraph|||0/0/1|c',
  ]);
  expect(read.blocks[1]!.spans).toEqual([{ text: 'one', marks: ['bold'] }]);
});
