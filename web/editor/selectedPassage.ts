import type { EditorState } from '@tiptap/pm/state';
import { isEmptyPassage, PassageSchema, type Inline, type Passage } from '#core/passage';
import { apartFromRecording } from '#core/transcript';
import { currentBlank } from './blanks';

/** The selection as a passage of its own: words within one paragraph come as such, not as the list around them. */
export function selectedPassage(state: EditorState): Passage | null {
  const { selection } = state;
  if (selection.empty || currentBlank(state)) return null;
  const { $from, $to } = selection;
  const within = $from.sameParent($to) && $from.parent.isTextblock;
  const inlines = () => $from.parent.slice($from.parentOffset, $to.parentOffset).content.toJSON() as Inline[];
  const content = within
    ? [{ type: 'paragraph', content: inlines() }]
    : (selection.content().content.toJSON() as unknown[]);
  const checked = PassageSchema.safeParse({ type: 'doc', content });
  return checked.success && !isEmptyPassage(checked.data) ? apartFromRecording(checked.data) : null;
}
