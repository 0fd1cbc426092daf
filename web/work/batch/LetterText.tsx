import { closeHistory } from '@tiptap/pm/history';
import { EditorContent, type Editor } from '@tiptap/react';
import { useEffect, useMemo, type RefObject } from 'react';
import type { BatchRow, Case } from '#contracts';
import type { DraftKeeper, LocalCopy } from '#client/drafts';
import type { DraftDocument } from '#core/draft';
import type { CaseRecord } from '#core/record';
import { replaceDraft, stepToFirstGap } from '../../editor';
import { AtCaret, useLeafActions } from '../../leaf';
import { useShell, type Action } from '../../shell';
import {
  asDraft,
  documentOf,
  giveKeys,
  KeepingLine,
  stepTo,
  TextNotice,
  useLeafParts,
  useLeafState,
} from '../../writing';
import { Letterhead } from '../reply/sending/Letterhead';
import { useHead } from '../reply/sending/useHead';
import { createPortal } from 'react-dom';
import { putRows } from './useBatch';
import { useLetterKeeping } from './useLetterKeeping';

/** What others on the page can have a letter do. */
export interface LetterHandle {
  /** Saves what was written; false where it could not be. */
  flush: () => Promise<boolean>;
  /** Gives the keys to the text, at its first gap where it has one. */
  write: () => void;
}

interface Props {
  one: Case;
  row: BatchRow;
  record: CaseRecord;
  base: DraftDocument;
  document: DraftDocument;
  /** What was written of it that the server never got; null for nothing. */
  copy: LocalCopy | null;
  saved: (document: DraftDocument) => void;
  /** Tells whether something is written here that the server does not have. */
  setUnsaved: (isUnsaved: boolean) => void;
  handleRef: RefObject<LetterHandle | null>;
  actions: readonly Action[];
  say: (words: string | null) => void;
  /** Where in the margin the blank that one fills in is drawn, in sight. */
  inHand: HTMLElement | null;
  /** Where in the margin all else that speaks of the caret is drawn. */
  beside: HTMLElement | null;
  /** Where in the margin it is told that the letter is not saved: at its head, in sight. */
  notices: HTMLElement | null;
}

/** Lets others on the page have the letter do something, for as long as it is on the leaf. */
function useHandle(handleRef: Props['handleRef'], keeper: DraftKeeper, editor: Editor): void {
  useEffect(() => {
    handleRef.current = {
      flush: async () => {
        await keeper.flush();
        return keeper.isSaved;
      },
      write: () => {
        giveKeys(editor.view);
        const gap = stepToFirstGap(editor.state);
        if (gap) stepTo(editor.view, gap);
      },
    };
    return () => {
      handleRef.current = null;
    };
  }, [handleRef, keeper, editor]);
}

/** What somebody else saved stands in the place of what is written here; undo brings that back. */
function takeLetter(
  { one, base, saved, setUnsaved, say }: Props,
  { editor, keeper }: { editor: Editor; keeper: DraftKeeper },
  theirs: BatchRow,
): void {
  const [mine, other] = [documentOf(editor), theirs.byHand?.document ?? base];
  // A step of its own for undo, however soon after the last key.
  editor.view.dispatch(closeHistory(replaceDraft(editor.state, other)));
  keeper.takenOver({ version: theirs.version, savedAt: '' }, mine);
  saved(other);
  setUnsaved(false);
  putRows(one.id, [theirs]);
  giveKeys(editor.view);
  say('The other letter is here now. Undo brings yours back.');
}

/** The letter of a row as it is written on: as any leaf is, and kept as changed by hand. */
export function LetterText(props: Props) {
  const { one, row, record, base, document, copy, saved, setUnsaved, handleRef, actions, say } = props;
  const { member } = useShell();
  const here = useMemo(() => ({ ...one, record }), [one, record]);
  const { keeper, keeping } = useLetterKeeping({
    ...{ of: one.id, member: member.id, row, base, document, copy, saved },
  });
  const parts = useLeafParts({
    ...{ one: here, say },
    document: copy?.document ?? document,
    draft: { ...asDraft(row, document), id: '' },
    onChange: () => {
      setUnsaved(true);
      keeper.changed();
    },
  });
  const { editor, placing, offering, counts } = parts;
  const leaf = useLeafState(editor);
  const atCaret = leaf.blank ? props.inHand : props.beside;
  const written = useHead(editor, here, false);
  useEffect(() => {
    keeper.readFrom(() => documentOf(editor));
    // What this computer kept of an earlier time is sent as soon as the letter is open.
    if (copy) keeper.changed();
  }, [editor, keeper, copy]);
  useEffect(() => {
    if (keeping.kind === 'saved') setUnsaved(!keeper.isSaved);
  }, [keeping, keeper, setUnsaved]);
  const { version } = row;
  useEffect(() => {
    // Another decision or cell that leaves its words as they are: what is written next is written on that.
    if (keeper.isSaved && keeper.savedVersion < version) keeper.goOnFrom(version);
  }, [version, keeper]);
  useHandle(handleRef, keeper, editor);
  const takeTheirs = (theirs: BatchRow) => takeLetter(props, { editor, keeper }, theirs);
  useLeafActions(
    [...actions],
    (entry) => {
      const placement = placing.placeIn(editor, entry);
      if (placement) counts.brought(placement, entry, counts.keysInFinder(), 'look-up');
    },
    () => editor.view.coordsAtPos(editor.state.selection.from).top,
  );
  return (
    <>
      <p className="flex justify-end px-9 pt-3 text-[13px] max-[899px]:px-4">
        <KeepingLine keeping={keeping} />
      </p>
      <Letterhead written={written} open giveKeys={() => giveKeys(editor.view)} />
      <div className="is-letter marks-hidden relative">
        <EditorContent editor={editor} className="px-9 py-5 max-[899px]:px-4" />
      </div>
      {props.notices &&
        createPortal(
          <TextNotice
            called="letter"
            {...{ member, keeper, keeping }}
            takeTheirs={(theirs) => takeTheirs(theirs as unknown as BatchRow)}
          />,
          props.notices,
        )}
      {atCaret &&
        createPortal(
          <AtCaret {...{ one: here, editor, leaf, placing, offering }} draft="" listsReach={false} />,
          atCaret,
        )}
    </>
  );
}
