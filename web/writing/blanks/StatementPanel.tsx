import type { Editor } from '@tiptap/react';
import type { Statement } from '../../editor';
import { Button, Key } from '../../ui';
import { confirm } from '../surface/blankKeys';
import { giveKeys } from '../surface/whereKeysGo';

/** Beside a statement that the wording makes and nobody has looked at for this case yet. */
export function StatementPanel({ editor, statement }: { editor: Editor; statement: Statement }) {
  const takeOut = () => {
    editor.view.dispatch(editor.state.tr.delete(statement.from, statement.to).scrollIntoView());
    giveKeys(editor.view);
  };
  const stay = (event: React.MouseEvent) => event.preventDefault();
  return (
    <section aria-label="To be confirmed" className="slip">
      <div role="status">
        <p className="eyebrow">Is this true here?</p>
        <p className="font-book text-[16px] leading-snug">{statement.words.trim()}</p>
      </div>
      <p className="mt-2 flex flex-wrap items-center gap-2">
        <Button onMouseDown={stay} onClick={() => confirm(editor.view)}>
          Yes, it is <Key>Ctrl Enter</Key>
        </Button>
        <Button onMouseDown={stay} onClick={takeOut}>
          Remove the sentence
        </Button>
      </p>
    </section>
  );
}
