import { EditorContent } from '@tiptap/react';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Case, Draft } from '#contracts';
import { DraftDocumentSchema, emptyDraft, type DraftDocument } from '#core/draft';
import { finishedPassage } from '#core/fill';
import { keep, kept } from '#client/kept';
import { stepToFirstGap } from '../editor';
import { AtCaret, CaptureSelected, useKeptWords, useLeafActions } from '../leaf';
import { useShell } from '../shell';
import { Button, Key, Notice, Tick, useRemembered } from '../ui';
import {
  copyPlain,
  copyRich,
  documentOf,
  GapsPanel,
  giveKeys,
  stepTo,
  useLeafParts,
  useLeafState,
} from '../writing';
import { copiedInWords, partsToCopy } from './copying';
import { KEPT } from './keptText';
import { openOwnWindow } from './ownWindow';
import { useOpenCase } from './useOpenCase';
import { useToKeep } from './useToKeep';

const COPY_KEY = 'Alt + Enter';
const NEW_KEY = 'Alt + N';

/** It is no draft of a case: nothing of it is saved but in this tab. */
const draftOf = (document: DraftDocument): Draft => ({
  ...{ id: '', case: '', author: '', title: '', begunAt: '', state: 'open', version: 1, excerpt: '' },
  ...{ savedAt: '', document },
});

interface TextProps {
  one: Case;
  /** Whether its words are to be saved as an entry at once. */
  isToKeep: boolean;
  isRich: boolean;
  begin: () => void;
}

/** Copies a text part by part by one key: a subject, then the message. */
function useCopying(
  { editor, counts }: ReturnType<typeof useLeafParts>,
  isRich: boolean,
  say: (words: string | null) => void,
) {
  const leaf = useLeafState(editor);
  const [gapsShown, showGaps] = useState(false);
  const next = useRef(0);
  const copy = () => {
    showGaps(leaf.gaps.length > 0);
    const first = leaf.gaps.length > 0 ? stepToFirstGap(editor.state) : null;
    if (first) stepTo(editor.view, first);
    if (leaf.gaps.length > 0) return;
    const parts = partsToCopy(finishedPassage(documentOf(editor)));
    const at = next.current < parts.length ? next.current : 0;
    const part = parts[at];
    if (!part) return say('There is nothing to copy yet.');
    const copied = isRich ? copyRich(part.passage) : copyPlain(part.passage);
    copied.then(
      () => {
        next.current = at + 1;
        if (at === parts.length - 1) counts.finished();
        say(copiedInWords(parts, at));
      },
      () => say('The browser blocked copying. Click into the text, then try again.'),
    );
  };
  return {
    leaf,
    copy,
    gapsShown,
    hideGaps: () => showGaps(false),
    /** The text is another: its first part is copied next. */
    changed: () => void (next.current = 0),
  };
}

/** The text of the pocket: written as on any leaf, kept in this tab. */
function PocketText({ one, isToKeep, isRich, begin }: TextProps) {
  const [document] = useState(() => kept(KEPT, DraftDocumentSchema, 'tab') ?? emptyDraft());
  const { finderOpen, finder } = useShell();
  const [said, say] = useState<string | null>(null);
  const changed = useRef(() => undefined as void);
  const parts = useLeafParts({
    ...{ one, document, say },
    draft: draftOf(document),
    onChange: () => changed.current(),
  });
  const { editor, placing, offering, counts } = parts;
  const copying = useCopying(parts, isRich, say);
  const { leaf, copy } = copying;
  useEffect(() => {
    changed.current = () => {
      copying.changed();
      keep(KEPT, documentOf(editor), 'tab');
    };
  });
  useEffect(() => giveKeys(editor.view), [editor]);
  const { selected, setSelected, keepWords } = useKeptWords(KEPT, editor, say);
  const begun = useRef(false);
  useEffect(() => {
    if (!isToKeep || begun.current) return;
    begun.current = true;
    editor.commands.selectAll();
    keepWords();
  });
  const place = (entry: string) => {
    const placement = placing.placeIn(editor, entry);
    if (placement) counts.brought(placement, entry, counts.keysInFinder(), 'look-up');
  };
  useLeafActions(
    [
      { label: 'Copy the text, part by part', key: COPY_KEY, run: copy },
      { label: 'Save the selected words', key: 'F4', run: keepWords },
      { label: 'New text in the pocket', key: NEW_KEY, run: begin },
    ],
    place,
    () => editor.view.coordsAtPos(editor.state.selection.from).top,
  );
  return (
    <>
      {/* Above the text: in a small window what is beneath it is out of sight. */}
      {finderOpen && <div className="pb-2">{finder}</div>}
      <main id="leaf" tabIndex={-1} className="leaf-page">
        <EditorContent editor={editor} className="min-h-28 px-4 py-3" />
      </main>
      <p className="flex flex-wrap items-center gap-3 py-2">
        <Button look="main" onMouseDown={(event) => event.preventDefault()} onClick={copy}>
          Copy <Key>{COPY_KEY}</Key>
        </Button>
        <Button onClick={begin}>
          New <Key>{NEW_KEY}</Key>
        </Button>
      </p>
      {said && <Notice title={said} />}
      <aside aria-label="Beside the text" hidden={finderOpen} className="grid gap-3 pt-2">
        {copying.gapsShown && leaf.gaps.length > 0 && (
          <GapsPanel editor={editor} gaps={leaf.gaps} close={copying.hideGaps} />
        )}
        {selected && placing.index ? (
          <CaptureSelected {...{ one, editor, placing, selected, setSelected, say }} />
        ) : (
          <AtCaret {...{ one, editor, leaf, placing, offering }} draft="" listsReach />
        )}
      </aside>
    </>
  );
}

/** The bank in a small window beside chats, calls and programs that are no browser: look up or type a cue, fill, copy. */
export function PocketPage() {
  const [isRich, toggleRich] = useRemembered('pocket-rich', true);
  const [isOfCase, toggleCase] = useRemembered('pocket-case', false);
  const { one, title } = useOpenCase(isOfCase);
  const { setFinderOpen } = useShell();
  const [count, setCount] = useState(0);
  const isToKeep = useToKeep(count, setCount);
  const begin = () => {
    keep(KEPT, emptyDraft(), 'tab');
    setCount(count + 1);
  };
  const isOwn = window.parent !== window || window.opener !== null;
  return (
    <div className="mx-auto max-w-[28rem] px-3 pb-6">
      <header className="flex flex-wrap items-center gap-x-3 gap-y-1 py-2 text-[14px]">
        <h1 className="grow font-book text-[19px]">
          {isOwn ? (
            'Pocket'
          ) : (
            <Link to="/" className="hover:text-elder">
              Pocket
            </Link>
          )}
        </h1>
        <Button onClick={() => setFinderOpen(true)}>
          Look up <Key>F2</Key>
        </Button>
        {!isOwn && <Button onClick={() => void openOwnWindow()}>Own window</Button>}
      </header>
      <PocketText key={`${count} ${one.id}`} {...{ one, isRich, begin }} isToKeep={isToKeep} />
      <footer className="mt-4 grid gap-1 border-t border-hair pt-2 text-[14px]">
        <Tick on={isRich} toggle={toggleRich}>
          Copy with its formatting
        </Tick>
        <Tick on={isOfCase} toggle={toggleCase}>
          Fill in from the case I have open{title !== null && `: ${title}`}
        </Tick>
      </footer>
    </div>
  );
}
