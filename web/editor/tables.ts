import { Extension, Node, type NodeConfig } from '@tiptap/core';
import { TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { goToNextCell, tableEditing } from '@tiptap/pm/tables';

type Role = 'table' | 'row' | 'cell' | 'header_cell';

/** A node that plays a role in a table. The library's own behaviour (cell selection, spans) goes by the role. */
function tableNode(name: string, role: Role, tag: string, config: Partial<NodeConfig>) {
  return Node.create({
    name,
    isolating: role !== 'row',
    // Called once for every node of the schema, so only the node itself may take the role.
    extendNodeSchema: (extension) => (extension.name === name ? { tableRole: role } : {}),
    parseHTML: () => [{ tag }],
    renderHTML: ({ HTMLAttributes }) =>
      role === 'table' ? ['table', ['tbody', 0]] : [tag, HTMLAttributes, 0],
    ...config,
  });
}

const spans = () => ({
  colspan: { default: 1, parseHTML: (cell: HTMLElement) => Number(cell.getAttribute('colspan')) || 1 },
  rowspan: { default: 1, parseHTML: (cell: HTMLElement) => Number(cell.getAttribute('rowspan')) || 1 },
  colwidth: { default: null, rendered: false },
});

/** Tables of the passage model; Tab goes from cell to cell. */
export const tableExtensions = [
  tableNode('table', 'table', 'table', { group: 'block', content: 'tableRow+' }),
  tableNode('tableRow', 'row', 'tr', { content: '(tableCell | tableHeader)+' }),
  tableNode('tableCell', 'cell', 'td', { content: 'block+', addAttributes: spans }),
  tableNode('tableHeader', 'header_cell', 'th', { content: 'block+', addAttributes: spans }),
  Extension.create({
    name: 'tableKeys',
    addProseMirrorPlugins: () => [tableEditing()],
    addKeyboardShortcuts: () => ({
      Tab: ({ editor }) => goToNextCell(1)(editor.state, editor.view.dispatch),
      'Shift-Tab': ({ editor }) => goToNextCell(-1)(editor.state, editor.view.dispatch),
    }),
  }),
];

/** Puts a table of two columns, a row of heads and a row beneath, in place of the selection; the caret is in its first cell. */
export function insertTable({ schema, tr }: EditorState): Transaction {
  const { table, tableRow, tableHeader, tableCell } = schema.nodes;
  const row = (cell: typeof tableCell) =>
    tableRow!.create(null, [cell!.createAndFill()!, cell!.createAndFill()!]);
  const made = table!.create(null, [row(tableHeader), row(tableCell)]);
  tr.replaceSelectionWith(made, false);
  tr.doc.descendants((node, pos) => {
    if (node === made) tr.setSelection(TextSelection.near(tr.doc.resolve(pos + 1)));
    return node !== made;
  });
  return tr.scrollIntoView();
}
