import { EditorContent, type Editor } from '@tiptap/react';
import { useEffect } from 'react';
import { giveKeys } from '../../writing';

/** All that is marked, one after another as a text that is written in like any other. */
export function MarkingsAsList({ editor }: { editor: Editor }) {
  useEffect(() => giveKeys(editor.view), [editor]);
  return <EditorContent editor={editor} className="markings-list px-9 py-5 max-[899px]:px-4" />;
}
