import type { Editor } from '@tiptap/react';
import type { ComputedField } from '#core/entry';
import { knowledgeOf, wordsOf, workedFrom } from '#core/fill';
import { formulaErrorInWords } from '#core/formula';
import { answer, type BlankAt, placementsOf } from '../../editor';
import { Button } from '../../ui';
import { giveKeys } from '../surface/whereKeysGo';

interface Props {
  editor: Editor;
  blank: BlankAt;
  field: ComputedField;
}

/** Beneath a blank that is worked out: from what, why it has no value, and the way back from words typed over it. */
export function WorkedOut({ editor, blank, field }: Props) {
  const id = blank.attrs.placement ?? '';
  const placement = placementsOf(editor.state.doc)[id];
  if (!placement) return null;
  const know = knowledgeOf(placement);
  const computed = know.compute(field);
  if ('error' in computed) {
    return <p className="mt-1 text-[13px] text-rust">{formulaErrorInWords(computed.error)}</p>;
  }
  const words = wordsOf(field, computed.answer ?? undefined, 'as-is', placement.language, know);
  const from = workedFrom(field, placement.fields).map(({ name }) => name);
  const takeBack = () => {
    editor.view.dispatch(answer(editor.state, id, field.id, null));
    giveKeys(editor.view);
  };
  return (
    <div className="mt-1 text-[13px] text-soft">
      <p>
        Worked out{from.length > 0 && ` from ${from.join(', ')}`}: {words || 'nothing'}
      </p>
      {placement.answers[field.id] && (
        <Button look="text" onMouseDown={(event) => event.preventDefault()} onClick={takeBack}>
          Take the worked-out value again
        </Button>
      )}
    </div>
  );
}
