import type { Transaction } from '@tiptap/pm/state';
import { EditorContent, type Editor } from '@tiptap/react';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Case, Draft } from '#contracts';
import { isSame } from '#core/difference';
import { isEmptyPassage } from '#core/passage';
import type { CaseRecord } from '#core/record';
import type { Way } from '#core/savings';
import { stepToFirstGap } from '../editor';
import { hasRecord, Headpiece, useIsWide } from '../record';
import { Figure, useIsWriting, useShell } from '../shell';
import { useRemembered } from '../ui';
import {
  stepTo,
  useFollowRecord,
  useFollowSaved,
  useDropDraft,
  useFinishing,
  useKeeping,
  useLeafState,
  documentOf,
  useLeafParts,
  useSpelling,
  UnderCaret,
  giveKeys,
} from '../writing';
import { LeafHead } from './LeafHead';
import { useAnotherLeaf } from './LeavesOfCase';
import { LeafMargin } from './LeafMargin';
import { useKeptWords } from './useKeptWords';
import type { DraftKeeper, LocalCopy } from '#client/drafts';
import { leafActions } from './leafActions';
import type { Material, UseMaterial } from './material';
import type { NoteDownload } from './noteDownload';
import { useLeafActions } from './useLeafActions';

interface Props {
  one: Case;
  draft: Draft;
  /** What this computer kept of the draft and the server never got; null when there is nothing. */
  copy: LocalCopy | null;
  /** Ways to take the finished text away that this kind of work has besides. */
  downloads: readonly NoteDownload[];
  /** What the case brings to be worked on. */
  useMaterial: UseMaterial;
}

/**
 * Opens the text for writing, with the keys at its end, unless it is finished; sends what this computer kept of an earlier time; and
 * follows what is saved of it elsewhere.
 */
function useWritable(
  editor: Editor,
  keeper: DraftKeeper,
  copy: LocalCopy | null,
  { state, settle }: Pick<ReturnType<typeof useFinishing>, 'state' | 'settle'>,
  isElsewhere: boolean,
): void {
  const open = state === 'open';
  useEffect(() => {
    keeper.readFrom(() => documentOf(editor));
    // What this computer kept of an earlier time is sent as soon as the page is open.
    if (copy) keeper.changed();
  }, [editor, copy, keeper]);
  useEffect(() => {
    editor.setEditable(open, false);
    if (open) {
      editor.commands.setTextSelection(editor.state.doc.content.size);
      if (!isElsewhere) giveKeys(editor.view);
    }
  }, [editor, open, isElsewhere]);
  useFollowSaved(editor, keeper, state, settle);
}

interface TextsProps {
  editor: Editor;
  material: Material;
  isOffered: boolean;
}

/** What the case brings to be worked on, and the text itself, with what is offered right beneath the caret where one wants it there. */
const Texts = ({ editor, material, isOffered }: TextsProps) => (
  <>
    {material.above}
    {material.textName !== null && (
      <h2 className="section-head border-t border-hair px-9 pt-4 max-[899px]:px-4">{material.textName}</h2>
    )}
    {!material.drawsText && (
      <div className="relative">
        <EditorContent editor={editor} className="px-9 py-5 max-[899px]:px-4" />
        {isOffered && <UnderCaret editor={editor} />}
      </div>
    )}
  </>
);

/** How the leaf is looked at: its record at its head or beside the margin, and whether what came from the bank is marked. */
function useLeafLook(one: Case) {
  const [isOpen, toggleRecord] = useRemembered('record-open', false);
  const [areShown, toggleMarks] = useRemembered('bank-marks', true);
  const isBeside = useIsWide() && hasRecord(one);
  return {
    record: { isOpen, toggle: toggleRecord },
    marks: { areShown, toggle: toggleMarks },
    isBeside,
  };
}

/** A case whose record knows besides what is worked out from its material. */
function useWorkedOut(one: Case) {
  const [details, setDetails] = useState<CaseRecord['details']>([]);
  const tellDetails = useCallback(
    (now: CaseRecord['details']) => setDetails((before) => (isSame(before, now) ? before : now)),
    [],
  );
  const worked = useMemo(() => {
    if (details.length === 0) return one;
    const own = new Set(one.record.details.map(({ path }) => path));
    const more = details.filter(({ path }) => !own.has(path));
    return { ...one, record: { ...one.record, details: [...one.record.details, ...more] } };
  }, [one, details]);
  return { one: worked, tellDetails };
}

/** Whether there is anything on the leaf to be finished; where there is not, it is said. */
function hasSomething(editor: Editor, say: (words: string | null) => void): boolean {
  const isEmpty = isEmptyPassage(documentOf(editor));
  say(isEmpty ? 'There is nothing on the leaf yet.' : null);
  return !isEmpty;
}

/** Whether a text has words and no gap; where it has one, the gaps are listed and the first gone to. */
function useWhole(
  editor: Editor,
  { gaps }: ReturnType<typeof useLeafState>,
  say: (words: string | null) => void,
) {
  const [gapsShown, showGaps] = useState(false);
  const isWhole = () => {
    showGaps(gaps.length > 0);
    if (gaps.length === 0) return hasSomething(editor, say);
    const first = stepToFirstGap(editor.state);
    if (first) stepTo(editor.view, first);
    return false;
  };
  return { isWhole, gapsShown, hideGaps: () => showGaps(false) };
}

/** What can be done on the leaf, by keys and in the look-up, which places an entry on one that is open. */
function useActs(
  acts: Omit<Parameters<typeof leafActions>[0], 'goToGap'>,
  place: (entry: string) => void,
): void {
  const { editor, open } = acts;
  const goToGap = (tr: Transaction | null) => tr && stepTo(editor.view, tr);
  useLeafActions(
    leafActions({ ...acts, goToGap }),
    open ? place : null,
    () => editor.view.coordsAtPos(editor.state.selection.from).top,
  );
}

/** Places an entry where the caret is, and counts the keys it took. */
function placeAndCount(
  { placing, counts, editor }: Pick<ReturnType<typeof useLeafParts>, 'placing' | 'counts' | 'editor'>,
  entry: string,
  way: Way,
): void {
  const placement = placing.placeIn(editor, entry);
  if (placement) counts.brought(placement, entry, counts.keysInFinder(), way);
}

/** A draft open for writing or finished, with its margin. */
export function Leaf({ one: given, draft, copy, downloads, useMaterial }: Props) {
  const { member } = useShell();
  const { one, tellDetails } = useWorkedOut(given);
  const { keeper, keeping } = useKeeping(draft, member.id, copy);
  const [said, say] = useState<string | null>(null);
  const finishing = useFinishing(draft, keeper);
  const dropDraft = useDropDraft(draft, keeper, say);
  const another = useAnotherLeaf(one, draft, keeper, say);
  const document = copy?.document ?? draft.document;
  const parts = useLeafParts({ one, draft, document, onChange: () => keeper.changed(), say });
  const { placing, offering, slip, openSlip, questions, editor, counts } = parts;
  const { record, marks, isBeside } = useLeafLook(given);
  const open = finishing.state === 'open';
  const spelling = useSpelling(editor, one, placing.index, open);
  const leaf = useLeafState(editor);
  useFollowRecord(editor, given.record, open, say);
  const { selected, setSelected, keepWords } = useKeptWords(draft.id, editor, say);
  useIsWriting(open);

  const place = (entry: string, way: Way) => placeAndCount(parts, entry, way);
  const { isWhole, gapsShown, hideGaps } = useWhole(editor, leaf, say);
  const material = useMaterial({
    ...{ one, draft, editor, keeper, open, say, tellDetails, isWhole, bank: placing.host },
    place: (entry) => place(entry, 'offer'),
    settle: (finished) => {
      finishing.settle(finished);
      counts.finished();
    },
  });
  useWritable(editor, keeper, copy, finishing, material.takesKeys);

  const finishNow = () =>
    isWhole() &&
    !material.holdsFinish() &&
    finishing.finish.mutate(undefined, { onSuccess: counts.finished });
  const acts = { openSlip, keepWords, finish: finishNow, reopen: finishing.reopen.mutate, drop: dropDraft };
  useActs(
    {
      ...{ more: material.actions, open, editor, say, another, questions, marks, ...acts },
      record: hasRecord(given) && !isBeside ? record : null,
    },
    (entry) => {
      material.beforePlacing();
      place(entry, 'look-up');
    },
  );
  const margin = (
    <LeafMargin
      {...{ downloads, material, one, member, editor, leaf, placing, offering, keeper, keeping, finishing }}
      {...{ selected, setSelected, said, say, gapsShown, hideGaps, slip, questions, openSlip, spelling }}
    />
  );
  return (
    <Figure
      marginLabel="Margin of the leaf"
      margin={margin}
      leafClass={material.leafClass}
      dropWords={open ? () => editor.view.dragging && keepWords() : null}
      third={isBeside && <Headpiece one={given} {...record} at="beside" />}
    >
      <div className={`${open ? '' : 'is-finished'} ${marks.areShown ? '' : 'marks-hidden'}`}>
        <LeafHead
          {...{ one, keeping, editor, another, marks, here: draft.id, openSlip: open ? openSlip : null }}
          finish={open ? finishNow : null}
          isFinishing={finishing.finish.isPending}
        />
        {!isBeside && <Headpiece one={given} {...record} />}
        <Texts {...{ editor, material }} isOffered={!slip && offering.preferences.offers === 'caret'} />
      </div>
    </Figure>
  );
}
