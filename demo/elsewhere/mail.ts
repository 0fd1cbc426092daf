/** A mail form: plain, and rich in two editors. Its counter and its own saving listen to what is typed. */
import { Editor } from '@tiptap/core';
import { StarterKit } from '@tiptap/starter-kit';
import Quill from 'quill';

const at = <E extends HTMLElement>(id: string) => document.getElementById(id) as E;

const plain = at<HTMLTextAreaElement>('plain');
plain.addEventListener('input', () => (at('count').textContent = String(plain.value.length)));

const tiptap = new Editor({
  element: at('tiptap'),
  extensions: [StarterKit],
  injectCSS: false,
  editorProps: { attributes: { 'aria-labelledby': 'tiptap-name', role: 'textbox' } },
});

const quill = new Quill('#quill', { modules: { toolbar: false } });
quill.root.setAttribute('aria-labelledby', 'quill-name');
quill.root.setAttribute('role', 'textbox');

// For tests: what each editor itself says it holds.
Object.assign(window, {
  held: { tiptap: () => tiptap.getHTML(), quill: () => JSON.stringify(quill.getContents()) },
});

at<HTMLFormElement>('letter').addEventListener('submit', (event) => {
  event.preventDefault();
  at('sent').textContent = 'Sent';
});
