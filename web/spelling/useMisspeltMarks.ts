import type { Editor } from '@tiptap/react';
import { useEffect } from 'react';
import type { SpellChecker } from '#client/spelling';
import { canMark, clearMisspelt, markMisspelt } from './misspeltMarks';

/** Whoever types on is not kept waiting by marks: they follow in the first pause, or after so long without one. */
const PAUSE_MS = 250;
const LONGEST_MS = 1000;

/**
 * Marks the words of a text in sight that a checker knows to be wrong, as it is written and scrolled; and leaves the browser's own
 * marks to texts that are not checked here.
 */
export function useMisspeltMarks(editor: Editor, checker: SpellChecker | null, language: string): void {
  const isOwn = checker !== null && canMark();
  useEffect(() => {
    editor.view.dom.setAttribute('spellcheck', String(!isOwn));
  }, [editor, isOwn]);
  useEffect(() => {
    if (!isOwn) return undefined;
    const { view } = editor;
    let waiting = 0;
    let since = 0;
    const mark = () => {
      waiting = 0;
      if (editor.isDestroyed) return;
      void checker.look(markMisspelt(editor.view, language, (word) => checker.isWrong(word)));
    };
    const soon = () => {
      const now = performance.now();
      if (!waiting) since = now;
      else clearTimeout(waiting);
      waiting = window.setTimeout(mark, Math.max(0, Math.min(PAUSE_MS, since + LONGEST_MS - now)));
    };
    soon();
    const notMore = checker.onKnown(soon);
    editor.on('transaction', soon);
    window.addEventListener('scroll', soon, { capture: true, passive: true });
    window.addEventListener('resize', soon);
    return () => {
      clearTimeout(waiting);
      notMore();
      editor.off('transaction', soon);
      window.removeEventListener('scroll', soon, { capture: true });
      window.removeEventListener('resize', soon);
      clearMisspelt(view);
    };
  }, [editor, checker, language, isOwn]);
}
