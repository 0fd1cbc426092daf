import { Fragment } from 'react';
import { useEditorState, type Editor } from '@tiptap/react';
import { Check } from 'lucide-react';
import { askedBlanks, currentBlank, fieldOf, placementsOf, stepToField } from '../../editor';
import { Key } from '../../ui';
import { stepTo } from '../surface/blankKeys';

/** A question of the leaf: where it is asked, what was answered, and which form it belongs to. */
interface Asked {
  placement: string;
  field: string;
  title: string;
  question: string;
  answer: string;
  isAnswered: boolean;
  isOptional: boolean;
  isCurrent: boolean;
}

/** All questions of a leaf in the order of its text, optional ones too. */
function askedOn({ state }: Editor): Asked[] {
  const placements = placementsOf(state.doc);
  const current = currentBlank(state)?.attrs;
  return askedBlanks(state.doc).flatMap(({ attrs }) => {
    const field = fieldOf(state.doc, attrs);
    const placed = placements[attrs.placement ?? ''];
    if (!field || !placed) return [];
    return {
      placement: attrs.placement!,
      field: field.id,
      title: placed.title,
      question: field.question || field.name,
      answer: attrs.text,
      isAnswered: placed.answers[field.id] !== undefined && attrs.state !== 'gap',
      isOptional: !field.required,
      isCurrent: current?.placement === attrs.placement && current?.field === field.id,
    };
  });
}

function Line({ one, go }: { one: Asked; go: () => void }) {
  return (
    <li>
      <button
        type="button"
        aria-current={one.isCurrent || undefined}
        onClick={go}
        className={`grid w-full grid-cols-[1.1rem_minmax(0,1fr)] items-baseline border-b border-hair py-1 text-left text-[14px] hover:text-elder ${one.isCurrent ? 'bg-flower' : ''}`}
      >
        {one.isAnswered ? (
          <Check size={13} className="self-center text-leaf" aria-label="answered" />
        ) : (
          <span />
        )}
        <span>
          <span className={one.isAnswered ? 'text-soft' : ''}>{one.question}</span>
          {one.isOptional && !one.isAnswered && <span className="text-[12.5px] text-soft"> optional</span>}
          {one.isAnswered && <span className="ml-2 font-book break-words">{one.answer}</span>}
        </span>
      </button>
    </li>
  );
}

/** The questions of all forms on the leaf, beside its text: answered ones ticked, each a step away. Up and down walk them. */
export function QuestionList({ editor }: { editor: Editor }) {
  const all = useEditorState({ editor, selector: ({ editor: now }) => askedOn(now) });
  const answered = all.filter(({ isAnswered }) => isAnswered).length;
  const go = ({ placement, field }: Asked) => {
    const tr = stepToField(editor.state, placement, field);
    if (tr) stepTo(editor.view, tr);
  };
  const walk = (event: React.KeyboardEvent) => {
    if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
    const lines = [...event.currentTarget.querySelectorAll('button')];
    const at = lines.indexOf(document.activeElement as HTMLButtonElement);
    lines[at + (event.key === 'ArrowDown' ? 1 : -1)]?.focus();
    event.preventDefault();
  };
  return (
    <section aria-label="Questions" className="mb-4" onKeyDown={walk}>
      <h2 className="section-head">
        Questions{' '}
        <span className="font-face text-[13px] text-soft">
          {all.length > 0 && `${answered} of ${all.length} answered`}
        </span>
      </h2>
      {all.length === 0 && <p className="text-[14px] text-soft">Nothing on this leaf asks anything.</p>}
      <ol className="mt-1 max-h-[38vh] overflow-y-auto">
        {all.map((one, at) => (
          <Fragment key={`${one.placement} ${one.field}`}>
            {one.placement !== all[at - 1]?.placement && <li className="eyebrow pt-1.5">{one.title}</li>}
            <Line one={one} go={() => go(one)} />
          </Fragment>
        ))}
      </ol>
      <p className="mt-1 text-[12.5px] text-soft">
        <Key>Alt + Y</Key> hides them
      </p>
    </section>
  );
}
