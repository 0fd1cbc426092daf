import type { Editor } from '@tiptap/react';
import type { Gap } from '#core/fill';
import { stepToField } from '../editor/stepping';
import { Button, Key, Notice } from '../ui';
import { stepTo } from './blankKeys';

/** Why the draft cannot be finished yet: its gaps, each a step away. */
export function GapsPanel({ editor, gaps, close }: { editor: Editor; gaps: Gap[]; close: () => void }) {
  const go = (gap: Gap) => {
    const tr = stepToField(editor.state, gap.placement, gap.field);
    if (tr) stepTo(editor.view, tr);
  };
  return (
    <Notice tone="warning" title={gaps.length === 1 ? 'One gap is left.' : `${gaps.length} gaps are left.`}>
      <ol aria-label="Gaps" className="mt-1">
        {gaps.map((gap) => (
          <li key={gap.placement + gap.field}>
            <button
              type="button"
              className="py-0.5 text-left text-ink hover:text-elder"
              onClick={() => go(gap)}
            >
              {gap.question}
            </button>
          </li>
        ))}
      </ol>
      <p className="mt-1">
        <Key>F8</Key> goes to the next one. Then <Key>F9</Key> finishes.{' '}
        <Button look="text" onClick={close}>
          Not now
        </Button>
      </p>
    </Notice>
  );
}
