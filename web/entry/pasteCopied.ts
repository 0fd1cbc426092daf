import type { Editor } from '@tiptap/react';

/**
 * Puts what was last copied into an editor, with its formatting where it has some. Comes back with what stood in the way, in
 * words; null when nothing did. The browser asks the first time whether the page may read what was copied.
 */
export async function pasteCopied(editor: Editor): Promise<string | null> {
  try {
    const items = await navigator.clipboard.read();
    const take = async (type: string) => {
      const item = items.find(({ types }) => types.includes(type));
      return item ? (await item.getType(type)).text() : '';
    };
    const html = await take('text/html');
    const text = html === '' ? await take('text/plain') : '';
    if (html === '' && text === '') return 'What was copied holds no words.';
    if (html) editor.view.pasteHTML(html);
    else editor.view.pasteText(text);
    return null;
  } catch {
    return 'The browser does not let this page read what was copied. Press Ctrl+V in the wording instead.';
  }
}
