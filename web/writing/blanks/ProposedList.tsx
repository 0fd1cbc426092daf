import { useEditorState, type Editor } from '@tiptap/react';
import { Check } from 'lucide-react';
import type { Field } from '#core/entry';
import { Key } from '../../ui';
import { giveKeys } from '../surface/whereKeysGo';
import { proposedHere, takeProposed } from './proposedAnswers';

/** What was found for the current blank, each taken by a click, the first by a key. */
function Proposed({ editor }: { editor: Editor }) {
  const here = useEditorState({ editor, selector: ({ editor: { state } }) => proposedHere(state) });
  if (!here || here.proposed.length === 0) return null;
  const take = (at: number) => {
    takeProposed(editor.view, at);
    giveKeys(editor.view);
  };
  return (
    <div className="mt-2" role="group" aria-label="Found for this blank">
      {here.proposed.map(({ words, context }, at) => (
        <button
          key={`${words} ${context}`}
          type="button"
          aria-pressed={at === here.at}
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => take(at)}
          className={`flex w-full items-baseline gap-2 border-b border-hair py-1 pr-1 text-left hover:bg-flower ${at === here.at ? 'font-semibold text-elder' : ''}`}
        >
          <span className="shrink-0 break-words">{words}</span>
          <span className="min-w-0 truncate text-[12.5px] font-normal text-soft" title={context}>
            {context}
          </span>
          {at === here.at && <Check size={14} aria-hidden className="ml-auto shrink-0 self-center" />}
        </button>
      ))}
      <p className="mt-1 text-[12.5px] text-soft">
        <Key>Down</Key> takes {here.at < 0 ? 'the first' : 'the next'}
      </p>
    </div>
  );
}

/** By which keys a day moves by months. */
const MonthKeys = () => (
  <p className="mt-1 text-[12.5px] text-soft">
    <Key>Page Up</Key> a month before, <Key>Page Down</Key> a month after
  </p>
);

/** What the current blank can be answered with by keys: what was found for it, and a day moved by months. */
export const ProposedList = ({ editor, field }: { editor: Editor; field: Field }) => (
  <>
    <Proposed editor={editor} />
    {field.kind === 'date' && <MonthKeys />}
  </>
);
