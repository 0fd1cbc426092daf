import type { Editor } from '@tiptap/react';
import type { Placement } from '#core/draft';
import type { Field } from '#core/entry';
import { wordsOf } from '#core/fill';
import { answer } from '../../editor';
import { Button, Key } from '../../ui';
import { giveKeys } from '../surface/whereKeysGo';

interface Props {
  editor: Editor;
  id: string;
  placement: Placement;
  field: Field;
}

/** What was answered last for the same person, one key away while the blank is open. */
export function LastAnswer({ editor, id, placement, field }: Props) {
  const offered = placement.offered?.[field.id];
  if (!offered || placement.answers[field.id]) return null;
  const take = () => {
    editor.view.dispatch(answer(editor.state, id, field.id, offered));
    giveKeys(editor.view);
  };
  return (
    <p className="mt-1 text-[13px] text-soft">
      Last time:{' '}
      <Button look="text" onMouseDown={(event) => event.preventDefault()} onClick={take}>
        {wordsOf(field, offered, 'as-is', placement.language)}
      </Button>{' '}
      <Key>Down</Key> takes it
    </p>
  );
}
