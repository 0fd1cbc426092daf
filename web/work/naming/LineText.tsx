import { EditorContent, type Editor } from '@tiptap/react';
import { useCallback, useEffect, useMemo, useRef, useState, type RefObject } from 'react';
import { createPortal } from 'react-dom';
import type { DraftKeeper } from '#client/drafts';
import type { TrayLine } from '#contracts';
import { emptyDraft, type DraftDocument } from '#core/draft';
import { nameFaults, proposedName } from '#core/naming';
import { isEmptyPassage } from '#core/passage';
import { useKeptWords, useLeafActions } from '../../leaf';
import { useShell } from '../../shell';
import {
  asDraft,
  documentOf,
  giveKeys,
  proposeAnswers,
  useLeafParts,
  useLeafState,
  useSpelling,
  useTextKeeping,
  useUnsentCopy,
  type KeptText,
  type Proposer,
} from '../../writing';
import { nameOfWords, saidIn, wordsOfName } from './lineName';
import { LineBeside } from './LineBeside';
import type { LineGiven, LineProps } from './lineProps';
import { useLineActs } from './useLineActs';
import { changeLines, foreseeLine, lineNow } from './useTray';

/** Keeps a name as it is written, and the whole name with it once its writer is done. */
function useLineKeeping(
  { one, line, copy }: LineProps,
  opened: DraftDocument,
  nameRef: RefObject<string | null>,
): ReturnType<typeof useTextKeeping> {
  const { member } = useShell();
  const of = one.id;
  const save = async (document: DraftDocument, version: number | null) => {
    const words = wordsOfName(document);
    const isEmpty = isEmptyPassage(document);
    const written = { document: isEmpty ? null : document, words, said: saidIn(document) };
    const newName = nameRef.current;
    const change = { line: line.id, written, newName, ...(version !== null && { version }) };
    if (version !== null)
      foreseeLine(of, line.id, { document: written.document, words, newName, version: version + 1 });
    await changeLines(of, [change]);
    return lineNow(of, line.id)?.version ?? (version ?? line.version) + 1;
  };
  const on = { to: `/cases/${of}?line=${line.id}`, called: 'name' };
  const textIn = (current: KeptText) => (current as TrayLine).document ?? emptyDraft();
  return useTextKeeping({ member: member.id, text: line, document: opened, copy, on, save, textIn });
}

/** The words that the editor holds, followed as they change. */
function useWritten(document: DraftDocument) {
  const [written, setWritten] = useState(() => ({
    words: wordsOfName(document),
    isEmpty: isEmptyPassage(document),
  }));
  return { ...written, setWritten };
}

/** The new name of a file, with what this computer has of it that the server never got. */
export function LineText(given: LineGiven) {
  const { id } = given.line;
  const { member } = useShell();
  // What this page knows of a line is what the server will have: it says nothing of what has arrived.
  const copy = useUnsentCopy({ member: member.id, id, document: null });
  const [turn, setTurn] = useState(0);
  const renew = useCallback(() => setTurn((now) => now + 1), []);
  // Shown anew it is as the server has it.
  return copy !== undefined && <NameText key={turn} {...given} renew={renew} copy={turn > 0 ? null : copy} />;
}

/** The new name of a file as it is written: as any leaf is, on one line, with the file's answers offered. */
function NameText(props: LineProps) {
  const { one, line, copy, setup, place, paper, proposer, say, beside } = props;
  const [document] = useState(() => copy?.document ?? line.document ?? emptyDraft());
  const nameRef = useRef(line.newName);
  const { words, isEmpty, setWritten } = useWritten(document);
  const { keeper, keeping } = useLineKeeping(props, document, nameRef);
  const parts = useLeafParts({
    ...{ one, say, document },
    draft: { ...asDraft(line, document), id: '' },
    onChange: () => {
      // What is written on is not done.
      nameRef.current = null;
      keeper.changed();
    },
  });
  const { editor, placing, counts, openSlip } = parts;
  const leaf = useLeafState(editor);
  const spelling = useSpelling(editor, one, placing.index, false);
  const kept = useKeptWords(line.id, editor, say);
  useFollowed(editor, keeper, copy !== null, setWritten);
  useProposals(editor, proposer);
  const name = nameOfWords(words, line, setup);
  const faults = useMemo(() => (isEmpty ? [] : nameFaults(name, place)), [isEmpty, name, place]);
  const proposed = faults.length > 0 ? proposedName(name, place, setup.style) : null;
  const { found: look } = props;
  const { index, reach } = placing;
  const found = useMemo(
    () => (paper && index && reach ? look(paper, index, reach) : []),
    [look, paper, index, reach],
  );
  const acts = useLineActs({ props, parts, keeper, found, nameRef });
  useKeys(editor);
  useRenewal(props, keeper);
  const keepName = () => {
    // With nothing selected it is the whole name that is meant.
    if (editor.state.selection.empty) editor.commands.selectAll();
    kept.keepWords();
  };
  useLeafActions(
    [
      { label: 'Save this name, or what is selected of it, as an entry', key: 'F4', run: keepName },
      {
        label: 'Take the proposed name and go on',
        key: 'Alt + Enter',
        run: () => acts.finish(proposed ?? undefined),
      },
      { label: 'Change what is in reach', run: () => openSlip({ kind: 'reach' }) },
      { label: 'Take this file out of the tray', run: props.takeOut },
      ...(props.putBack ? [{ label: 'Put back the file that was taken out', run: props.putBack }] : []),
    ],
    (entry) => {
      const placement = placing.placeIn(editor, entry);
      if (placement) counts.brought(placement, entry, counts.keysInFinder(), 'look-up');
    },
    () => editor.view.coordsAtPos(editor.state.selection.from).top,
  );
  return (
    <>
      <EditorContent editor={editor} className="is-name" />
      {beside &&
        createPortal(
          <LineBeside
            {...{ props, parts, keeper, keeping, leaf, spelling, kept, acts, found, isEmpty }}
            check={{ name, faults, proposed }}
          />,
          beside,
        )}
    </>
  );
}

/** Saves what is written, and follows its words. */
function useFollowed(
  editor: Editor,
  keeper: DraftKeeper,
  isCopy: boolean,
  setWritten: (written: { words: string; isEmpty: boolean }) => void,
): void {
  useEffect(() => {
    keeper.readFrom(() => documentOf(editor));
    // What this computer kept of an earlier time is sent as soon as the line is open.
    if (isCopy) keeper.changed();
    const follow = ({ transaction }: { transaction: { docChanged: boolean } }) => {
      if (!transaction.docChanged) return;
      const document = documentOf(editor);
      setWritten({ words: wordsOfName(document), isEmpty: isEmptyPassage(document) });
    };
    editor.on('transaction', follow);
    return () => {
      editor.off('transaction', follow);
    };
  }, [editor, keeper, isCopy, setWritten]);
}

/** Shows the line anew where somebody else wrote on it, and here nothing was. */
function useRenewal({ line, renew }: LineProps, keeper: DraftKeeper): void {
  useEffect(() => {
    if (keeper.isSaved && line.version > keeper.savedVersion) renew();
  }, [line.version, keeper, renew]);
}

/** Has blanks offer what was found for them. */
function useProposals(editor: Editor, proposer: Proposer | null): void {
  useEffect(() => {
    if (proposer) proposeAnswers(editor.view, proposer);
  }, [editor, proposer]);
}

/** Gives the keys to the line as soon as it is there. */
function useKeys(editor: Editor): void {
  useEffect(() => {
    editor.commands.setTextSelection(editor.state.doc.content.size);
    giveKeys(editor.view);
  }, [editor]);
}
