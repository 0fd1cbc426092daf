import type { Editor } from '@tiptap/react';
import type { Gap } from '#core/fill';
import { statementsIn, stepToStatement, stepToField, stepToReference } from '../../editor';
import { Button, Key, Notice } from '../../ui';
import { stepTo } from '../surface/blankKeys';

/** A gap in words. */
function wordsOf({ kind, question }: Gap): string {
  if (kind === 'confirm') return `Is this true here? “${question}”`;
  return kind === 'reference' ? `It refers to a number that was deleted: “${question}”` : question;
}

/** The statement that the gap names by its beginning. */
const statementStarting = (editor: Editor, words: string) =>
  statementsIn(editor.state.doc).find((one) =>
    one.words.trim().startsWith(words.replace(/ ?…$/, '').slice(0, 40)),
  );

function titleOf(gaps: readonly Gap[]): string {
  const count = (wanted: Gap['kind']) => gaps.filter(({ kind }) => kind === wanted).length;
  const [statements, missing, lost] = [count('confirm'), count('answer'), count('reference')];
  const parts = [
    ...(missing > 0 ? [missing === 1 ? 'One gap is left.' : `${missing} gaps are left.`] : []),
    ...(statements > 0
      ? [
          statements === 1
            ? 'One statement is to be confirmed.'
            : `${statements} statements are to be confirmed.`,
        ]
      : []),
    ...(lost > 0 ? [lost === 1 ? 'One reference leads nowhere.' : `${lost} references lead nowhere.`] : []),
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
    if (statement) return stepTo(editor.view, stepToStatement(editor.state, statement));
    const tr =
      gap.kind === 'reference'
        ? stepToReference(editor.state, gap.to)
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
              {wordsOf(gap)}
            </button>
          </li>
        ))}
      </ol>
      <p className="mt-1">
        <Key>F8</Key> goes to the next one
        {gaps.some(({ kind }) => kind === 'confirm') && (
          <>
            {' '}
            and <Key>Ctrl Enter</Key> confirms
          </>
        )}
        . Then <Key>F9</Key> finishes.{' '}
        <Button look="text" onClick={close}>
          Close
        </Button>
      </p>
    </Notice>
  );
}
