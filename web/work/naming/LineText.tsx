import { EditorContent, type Editor } from '@tiptap/react';
import { useEffect, useMemo, useRef, useState, type RefObject } from 'react';
import { createPortal } from 'react-dom';
import type { Case, TrayLine } from '#contracts';
import type { DraftKeeper } from '#client/drafts';
import { emptyDraft, type DraftDocument } from '#core/draft';
import { nameFaults, proposedName, type NamePlace, type Paper, type TraySetup } from '#core/naming';
import { isEmptyPassage } from '#core/passage';
import { currentBlank, fromEditor, stepToFirstGap } from '../../editor';
import { AtCaret, CaptureSelected, SlipAskedFor, useKeptWords, useLeafActions } from '../../leaf';
import { useShell, type Action } from '../../shell';
import { Notice } from '../../ui';
import {
  asDraft,
  documentOf,
  giveKeys,
  hearKeys,
  keptCopy,
  proposeAnswers,
  stepTo,
  TextNotice,
  useLeafParts,
  useLeafState,
  useSpelling,
  useTextKeeping,
  type Proposer,
} from '../../writing';
import { FoundPanel } from './FoundPanel';
import type { Found } from './foundEntries';
import { nameOfWords, saidIn, wordsOfName } from './lineName';
import { NameCheck } from './NameCheck';
import { changeLines, foreseeLine, lineNow, putLines } from './useTray';

/** What others on the page can have the line do. */
export interface LineHandle {
  write: () => void;
}

export interface LineProps {
  one: Case;
  line: TrayLine;
  setup: TraySetup;
  place: NamePlace;
  /** Names of the others, sorted. */
  sorted: readonly string[];
  paper: Paper | null;
  proposer: Proposer | null;
  found: (bank: Pick<ReturnType<typeof useLeafParts>['placing'], 'index' | 'reach'>) => readonly Found[];
  /** The entry that the line before was begun by; null for none. */
  before: string | null;
  /** It is done: on to the next. */
  done: () => void;
  /** To another line, with nothing done about this one. */
  step: (by: 1 | -1) => void;
  actions: readonly Action[];
  said: string | null;
  say: (words: string | null) => void;
  beside: HTMLElement | null;
  handleRef: RefObject<LineHandle | null>;
  /** Shows the line anew, as the server has it. */
  renew: () => void;
}

/** Keeps a name as it is written, and the whole name with it once its writer is done. */
function useLineKeeping(
  { one, line }: LineProps,
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
  return useTextKeeping({ member: member.id, text: line, document: opened, save });
}

/** What is done with a name by keys: taken as it is, left for another, begun like the one before. */
interface LineActs {
  finish: (as?: string) => boolean;
  beginLikeBefore: () => boolean;
  takeFound: (at: number) => boolean;
  step: (by: 1 | -1) => void;
}

const FOUND_KEYS = ['KeyJ', 'KeyK', 'KeyL', 'KeyU', 'KeyI', 'KeyO', 'KeyP', 'KeyN'];

function onKey(event: KeyboardEvent, editor: Editor, acts: LineActs): boolean {
  if (event.ctrlKey || event.metaKey || event.shiftKey) return false;
  if (event.altKey) return acts.takeFound(FOUND_KEYS.indexOf(event.code));
  switch (event.key) {
    case 'Enter':
      return acts.finish();
    case 'Tab':
      return isEmptyPassage(fromEditor(editor.state.doc)) && acts.beginLikeBefore();
    case 'ArrowDown':
    case 'ArrowUp':
      acts.step(event.key === 'ArrowDown' ? 1 : -1);
      return true;
    default:
      return false;
  }
}

/** The words that the editor holds, followed as they change. */
function useWritten(document: DraftDocument) {
  const [written, setWritten] = useState(() => ({
    words: wordsOfName(document),
    isEmpty: isEmptyPassage(document),
  }));
  return { ...written, setWritten };
}

/** The new name of a file as it is written: as any leaf is, on one line, with the file's answers offered. */
export function LineText(props: LineProps) {
  const { one, line, setup, place, paper, proposer, before, done, step, say, said, beside, handleRef } =
    props;
  const { member } = useShell();
  const [copy] = useState(() => keptCopy(member.id, line.id));
  const [document] = useState(() => copy ?? line.document ?? emptyDraft());
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
  const { editor, placing, offering, counts, slip, openSlip } = parts;
  const leaf = useLeafState(editor);
  const spelling = useSpelling(editor, one, placing.index, false);
  const { selected, setSelected, keepWords } = useKeptWords(line.id, editor, say);
  useFollowed(editor, keeper, copy !== null, setWritten);
  useEffect(() => {
    if (proposer) proposeAnswers(editor.view, proposer);
  }, [editor, proposer]);
  const name = nameOfWords(words, line, setup);
  const faults = useMemo(() => (isEmpty ? [] : nameFaults(name, place)), [isEmpty, name, place]);
  const proposed = faults.length > 0 ? proposedName(name, place, setup.style) : null;
  const found = useMemo(
    () => (paper ? props.found({ index: placing.index, reach: placing.reach }) : []),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what is found depends on the paper and the bank alone
    [paper, placing.index, placing.reach],
  );
  const bring = (entry: string, keys: number) => {
    const placement = placing.placeIn(editor, entry);
    if (placement) counts.brought(placement, entry, keys, 'offer');
  };
  const acts: LineActs = {
    finish: (as) => {
      const document = documentOf(editor);
      if (isEmptyPassage(document)) return (step(1), true);
      const now = nameOfWords(wordsOfName(document), line, setup);
      const gap = stepToFirstGap(editor.state);
      if (gap) {
        if (currentBlank(editor.state)) return false;
        stepTo(editor.view, gap);
        return true;
      }
      const whole = as ?? now;
      if (nameFaults(whole, place).length > 0) {
        say('This name cannot stay as it is: see beside it. Alt + Enter takes the one that is proposed.');
        return true;
      }
      if (line.newName !== whole) {
        nameRef.current = whole;
        counts.finished();
        keeper.changed();
        putLines(one.id, [{ ...line, document, words: wordsOfName(document), newName: whole }]);
      }
      done();
      return true;
    },
    beginLikeBefore: () => {
      if (!before) return false;
      bring(before, 1);
      return true;
    },
    takeFound: (at) => {
      const one = currentBlank(editor.state) ? undefined : found[at];
      if (!one) return false;
      if (one.kind === 'entry') bring(one.entry, 2);
      else editor.commands.insertContent({ type: 'text', text: one.words });
      return true;
    },
    step,
  };
  useOwnKeys(editor, acts);
  const { renew } = props;
  useEffect(() => {
    // Somebody else wrote on it, and here nothing was.
    if (keeper.isSaved && line.version > keeper.savedVersion) renew();
  }, [line.version, keeper, renew]);
  useHandle(editor, handleRef);
  const keepName = () => {
    // With nothing selected it is the whole name that is meant.
    if (editor.state.selection.empty) editor.commands.selectAll();
    keepWords();
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
      ...props.actions,
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
          <div className="grid gap-3">
            <TextNotice
              called="name"
              {...{ member, keeper, keeping }}
              takeTheirs={(theirs) => {
                keeper.takenOver({ version: theirs.version, savedAt: '' }, documentOf(editor));
                putLines(one.id, [theirs as TrayLine]);
                props.renew();
              }}
            />
            {said && <Notice title={said} />}
            <CaptureSelected {...{ one, editor, placing, selected, setSelected, say }} namesStay />
            {slip && (
              <SlipAskedFor {...{ one, editor, placing, offering, keeper, slip, openSlip, spelling, say }} />
            )}
            <AtCaret {...{ one, editor, leaf, placing, offering }} draft="" listsReach={false} />
            {!leaf.blank && !selected && !slip && (
              <FoundPanel
                {...{ editor, found, isEmpty }}
                before={before && placing.index?.entries.get(before)?.content.title}
                take={acts.takeFound}
              />
            )}
            {!isEmpty && (
              <NameCheck
                {...{ name, faults, proposed, sorted: props.sorted }}
                take={() => proposed !== null && acts.finish(proposed)}
                isWhole={leaf.gaps.length === 0}
              />
            )}
          </div>,
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
    const follow = () => {
      const document = documentOf(editor);
      setWritten({ words: wordsOfName(document), isEmpty: isEmptyPassage(document) });
    };
    editor.on('update', follow);
    editor.on('transaction', follow);
    return () => {
      editor.off('update', follow);
      editor.off('transaction', follow);
    };
  }, [editor, keeper, isCopy, setWritten]);
}

/** Hears the keys of the line, as long as it is the one that is written on. */
function useOwnKeys(editor: Editor, acts: LineActs): void {
  const latest = useRef(acts);
  useEffect(() => {
    latest.current = acts;
  });
  useEffect(() => hearKeys(editor.view, (event) => onKey(event, editor, latest.current)), [editor]);
}

function useHandle(editor: Editor, handleRef: RefObject<LineHandle | null>): void {
  useEffect(() => {
    handleRef.current = { write: () => giveKeys(editor.view) };
    editor.commands.setTextSelection(editor.state.doc.content.size);
    giveKeys(editor.view);
    return () => {
      handleRef.current = null;
    };
  }, [editor, handleRef]);
}
