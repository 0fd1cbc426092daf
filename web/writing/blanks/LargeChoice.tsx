import type { Editor } from '@tiptap/react';
import { Check } from 'lucide-react';
import { useState } from 'react';
import type { Field } from '#core/entry';
import { matchingPickables, OTHER, otherwise, pickablesOf, type Pickable } from '#core/fill';
import { answer, currentBlank, placementsOf, stepOn } from '../../editor';
import { Key } from '../../ui';
import { CHOICE_FILTER, pick, stepTo } from '../surface/blankKeys';
import { giveKeys } from '../surface/whereKeysGo';

const SHOWN = 40;
const STEPS: Record<string, number> = { ArrowDown: 1, ArrowUp: -1, PageDown: 10, PageUp: -10 };

interface Props {
  editor: Editor;
  field: Field;
  picked: readonly string[];
}

interface ShownProps {
  shown: readonly Pickable[];
  /** Which of them the arrows have come to. */
  current: number;
  picked: readonly string[];
  many: boolean;
  take: (id: string) => void;
}

/** The options that are left, the one at hand kept in sight. */
function Shown({ shown, current, picked, many, take }: ShownProps) {
  return (
    <ul
      id="choice-options"
      role="listbox"
      aria-label={many ? 'Choose any' : 'Choose one'}
      aria-multiselectable={many || undefined}
      className="max-h-72 overflow-y-auto"
    >
      {shown.map(({ id, label }, place) => (
        <li
          key={id}
          id={`choice-${id}`}
          role="option"
          aria-selected={picked.includes(id)}
          ref={(row) => {
            if (row && place === current) row.scrollIntoView({ block: 'nearest' });
          }}
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => take(id)}
          className={`flex cursor-pointer items-baseline gap-2 border-b border-hair px-1 py-1 ${place === current ? 'bg-flower' : ''} ${picked.includes(id) ? 'font-semibold text-elder' : ''}`}
        >
          <span className="min-w-0 break-words">{label}</span>
          {picked.includes(id) && <Check size={14} aria-hidden className="ml-auto shrink-0 self-center" />}
        </li>
      ))}
    </ul>
  );
}

/** How many options fit, and what the keys do. */
const FoundInWords = ({ found, takesOther }: { found: number; takesOther: boolean }) => (
  <p role="status" className="mt-1 text-[12.5px] text-soft">
    {found === 0 &&
      (takesOther ? 'None reads so: Enter takes it as your own words.' : 'None reads so. Try fewer letters.')}
    {found > SHOWN && `${(found - SHOWN).toLocaleString()} more: type on. `}
    {found > 0 && (
      <>
        <Key>↓</Key> <Key>↑</Key> walk, <Key>Enter</Key> takes.
      </>
    )}
  </p>
);

/** A choice of more options than keys can tell apart: what is typed narrows them, arrows walk, Enter takes. */
export function LargeChoice({ editor, field, picked }: Props) {
  const [asked, setAsked] = useState('');
  const [at, setAt] = useState(0);
  const found = matchingPickables(pickablesOf(field), asked);
  const shown = found.slice(0, SHOWN);
  const current = Math.min(at, shown.length - 1);
  const many = field.kind === 'choice' && field.many;
  const takesOther = field.kind === 'choice' && field.other === true;
  const goOn = () => {
    const tr = stepOn(editor.state);
    if (tr) stepTo(editor.view, tr);
    else giveKeys(editor.view);
  };
  const take = (id: string) => {
    pick(editor.view, field, id);
    setAsked('');
    setAt(0);
    // Of one the first is the answer; of several one goes on choosing.
    if (!many && id !== OTHER) goOn();
  };
  const takeAsOther = () => {
    const placement = currentBlank(editor.state)?.attrs.placement ?? '';
    const given = placementsOf(editor.state.doc)[placement]?.answers[field.id];
    editor.view.dispatch(answer(editor.state, placement, field.id, otherwise(field, given, asked)));
    goOn();
  };
  /** With nothing asked for and nothing walked to, Enter goes on, as on every blank. */
  const enter = () => {
    const isMeant = asked !== '' || at > 0;
    const chosen = shown[current];
    if (isMeant && chosen) take(chosen.id);
    else if (!isMeant) goOn();
    else if (takesOther) takeAsOther();
  };
  const press = (event: React.KeyboardEvent) => {
    if (event.nativeEvent.isComposing) return;
    const step = STEPS[event.key];
    if (step !== undefined) setAt(Math.max(0, Math.min(shown.length - 1, current + step)));
    else if (event.key === 'Enter') enter();
    else if (event.key === 'Tab' && !event.shiftKey) goOn();
    else if (event.key === 'Escape' || event.key === 'Tab') giveKeys(editor.view);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <div className="mt-2">
      <input
        id={CHOICE_FILTER}
        role="combobox"
        aria-expanded
        aria-controls="choice-options"
        aria-activedescendant={shown[current] && `choice-${shown[current].id}`}
        aria-label={`Find among ${pickablesOf(field).length.toLocaleString()} options`}
        className="input text-[15px]"
        placeholder="type a few letters"
        autoComplete="off"
        spellCheck={false}
        value={asked}
        onChange={({ target }) => {
          setAsked(target.value);
          setAt(0);
        }}
        onKeyDown={press}
      />
      <Shown {...{ shown, current, picked, many, take }} />
      <FoundInWords found={found.length} takesOther={takesOther} />
    </div>
  );
}
