import { useEditorState, type Editor } from '@tiptap/react';
import { begunAt, type Begun } from '../cues/keyCues';
import { offeredAt, type Offered } from '../offers/offering';
import type { CueIndex } from '#core/cue';
import { outsideCueAt, type OutsideCue } from '../cues/outsideCue';
import { commandTold, type CommandTold } from '../commands/textCommands';

/** What is told of the letters being typed; it changes with every key. */
export interface Typed {
  /** What is offered at the caret. */
  offered: Offered | null;
  /** The key cues that the key pressed last begins. */
  begun: Begun | null;
  /** The text command that stands before the caret. */
  command: CommandTold | null;
  /** A cue that is out of reach here. */
  outside: OutsideCue | null;
}

/** Follows what is typed. Only what tells of it uses this: all else on a leaf rests while one types. */
export const useTyped = (editor: Editor, outside: CueIndex | null): Typed =>
  useEditorState({
    editor,
    selector: ({ editor: { state } }) => ({
      offered: offeredAt(state),
      begun: begunAt(state),
      command: commandTold(state),
      outside: outsideCueAt(state, outside),
    }),
  });
