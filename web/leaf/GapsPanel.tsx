import type { Editor } from '@tiptap/react';
import type { Gap } from '#core/fill';
import { statementsIn, stepToStatement } from '../editor/confirming';
import { stepToField } from '../editor/stepping';
import { Button, Key, Notice } from '../ui';
import { stepTo } from './blankKeys';

/** The statement that the gap names by its beginning. */
const statementStarting = (editor: Editor, words: string) =>
  statementsIn(editor.state.doc).find((one) =>
    one.words.trim().startsWith(words.replace(/ ?…$/, '').slice(0, 40)),
  );

function titleOf(gaps: readonly Gap[]): string {
  const statements = gaps.filter(({ kind }) => kind === 'confirm').length;
  const missing = gaps.length - statements;
  const parts = [
    ...(missing > 0 ? [missing === 1 ? 'One gap is left.' : `${missing} gaps are left.`] : []),
    ...(statements > 0
      ? [
          statements === 1
            ? 'One statement is to be confirmed.'
            : `${statements} statements are to be confirmed.`,
        ]
      : []),
  ];
  return parts.join(' ');
}

/** Why the draft cannot be finished yet: its gaps, each a step away. */
export function GapsPanel({
  editor,
  gaps,
  close,
}: {
  editor: Editor;
  gaps: readonly Gap[];
  close: () => void;
}) {
  const go = (gap: Gap) => {
    const statement = gap.kind === 'confirm' && statementStarting(editor, gap.question);
    const tr = statement
      ? stepToStatement(editor.state, statement)
      : gap.kind === 'answer' && stepToField(editor.state, gap.placement, gap.field);
    if (tr) stepTo(editor.view, tr);
  };
  return (
    <Notice tone="warning" title={titleOf(gaps)}>
      <ol aria-label="Gaps" className="mt-1">
        {gaps.map((gap, at) => (
          <li key={at}>
            <button
              type="button"
              className="py-0.5 text-left text-ink hover:text-elder"
              onClick={() => go(gap)}
            >
              {gap.kind === 'confirm' ? `Is it so? “${gap.question}”` : gap.question}
            </button>
          </li>
        ))}
      </ol>
      <p className="mt-1">
        <Key>F8</Key> goes to the next one{' '}
        {gaps.some(({ kind }) => kind === 'confirm') && (
          <>
            and <Key>Ctrl Enter</Key> confirms
          </>
        )}
        . Then <Key>F9</Key> finishes.{' '}
        <Button look="text" onClick={close}>
          Not now
        </Button>
      </p>
    </Notice>
  );
}
