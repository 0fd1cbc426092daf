/** A course board: comments beside a text, in three editors. */
import { createEmptyHistoryState, registerHistory } from '@lexical/history';
import { HeadingNode, QuoteNode, registerRichText } from '@lexical/rich-text';
import { $getRoot, createEditor } from 'lexical';
import { useState } from 'react';
import { createRoot } from 'react-dom/client';
import { createEditor as createSlate, Editor as SlateEditor, type Descendant } from 'slate';
import { withHistory } from 'slate-history';
import { Editable, Slate, withReact, type ReactEditor } from 'slate-react';
import tinymce from 'tinymce/tinymce';
import 'tinymce/icons/default';
import 'tinymce/models/dom';
import 'tinymce/themes/silver';
import 'tinymce/plugins/lists';

const at = (id: string) => document.getElementById(id)!;

const lexical = createEditor({ nodes: [HeadingNode, QuoteNode], onError: (error) => reportError(error) });
at('lexical').setAttribute('role', 'textbox');
at('lexical').setAttribute('aria-labelledby', 'lexical-name');
lexical.setRootElement(at('lexical'));
registerRichText(lexical);
registerHistory(lexical, createEmptyHistoryState(), 300);

void tinymce.init({
  selector: '#tinymce',
  skin: false,
  content_css: false,
  menubar: false,
  promotion: false,
  branding: false,
  height: 200,
  plugins: 'lists',
  iframe_aria_text: 'Feedback on the whole',
});

const empty: Descendant[] = [{ type: 'paragraph', children: [{ text: '' }] } as Descendant];
let slate: SlateEditor & ReactEditor;
function Note() {
  const [editor] = useState(() => (slate = withHistory(withReact(createSlate()))));
  return (
    <Slate editor={editor} initialValue={empty}>
      <Editable className="rich" role="textbox" aria-labelledby="slate-name" />
    </Slate>
  );
}
createRoot(at('slate')).render(<Note />);

// For tests: what each editor itself says it holds.
Object.assign(window, {
  held: {
    lexical: () => lexical.getEditorState().read(() => $getRoot().getTextContent()),
    tinymce: () => tinymce.activeEditor?.getContent() ?? '',
    slate: () => SlateEditor.string(slate, []),
  },
});
