import type { Editor } from '@tiptap/react';
import { useState } from 'react';
import type { Case, Draft, Entry, Member } from '#contracts';
import { finishedPassage } from '#core/fill';
import type { Passage } from '#core/passage';
import { inWords } from '../api/client';
import { typedCue } from '../bank/bankIndex';
import { placementsOf, replaceDraft } from '../editor/placements';
import { Notice } from '../ui';
import { BlankPanel } from './BlankPanel';
import { CaptureSlip } from './CaptureSlip';
import type { DraftKeeper, Keeping } from './draftKeeper';
import { FinishedPanel } from './FinishedPanel';
import { GapsPanel } from './GapsPanel';
import { KeepingNotice } from './KeepingNotice';
import { Level } from './Level';
import { NewerWording, newerWordings } from './NewerWording';
import { PlacementPanel } from './PlacementPanel';
import { ReachList } from './ReachList';
import type { useFinishing } from './useFinishing';
import { documentOf, type LeafState } from './useLeafEditor';
import type { usePlacing } from './usePlacing';

/** Words being kept: taken once, so that typing on does not change what is on the slip. */
export interface Selected {
  words: Passage;
  pos: number;
}

export interface LeafMarginProps {
  one: Case;
  member: Member;
  editor: Editor;
  leaf: LeafState;
  placing: ReturnType<typeof usePlacing>;
  keeper: DraftKeeper;
  keeping: Keeping;
  finishing: ReturnType<typeof useFinishing>;
  selected: Selected | null;
  setSelected: (selected: Selected | null) => void;
  said: string | null;
  say: (words: string | null) => void;
  gapsShown: boolean;
  hideGaps: () => void;
}

/** What stands in the margin whatever line the caret is on: saving, gaps, newer wordings, finishing. */
function Standing(props: LeafMarginProps) {
  const { one, member, editor, leaf, placing, keeper, keeping, finishing, said, say, gapsShown, hideGaps } =
    props;
  const [keptOld, setKeptOld] = useState<ReadonlySet<string>>(new Set());
  const open = finishing.state === 'open';
  const takeTheirs = (theirs: Draft) => {
    editor.view.dispatch(replaceDraft(editor.state, theirs.document));
    keeper.takenOver(theirs);
    say('The other text stands here now. Undo brings yours back.');
  };
  const newer = open && placing.index ? newerWordings(editor, placing.index.entries, keptOld) : [];
  return (
    <div className="grid gap-4">
      <KeepingNotice
        keeping={keeping}
        member={member}
        goOn={() => keeper.goOnFrom(keeper.savedVersion)}
        keepMine={({ version }) => keeper.goOnFrom(version)}
        takeTheirs={takeTheirs}
      />
      {finishing.error && <Notice tone="warning" title={inWords(finishing.error)} />}
      {said && <Notice title={said} />}
      {gapsShown && open && leaf.gaps.length > 0 && (
        <GapsPanel editor={editor} gaps={leaf.gaps} close={hideGaps} />
      )}
      <NewerWording
        editor={editor}
        newer={newer}
        needs={placing.needs}
        keep={(key) => setKeptOld(new Set([...keptOld, key]))}
      />
      {!open && (
        <FinishedPanel
          passage={finishedPassage(documentOf(editor))}
          title={one.number ? `${one.title} ${one.number}` : one.title}
          reopen={() => finishing.reopen.mutate()}
          reopening={finishing.reopen.isPending}
        />
      )}
    </div>
  );
}

/** What speaks of the caret's line: the slip for selected words, the blank, the placement, or what is in reach. */
function OfTheLine({ one, editor, leaf, placing, selected, setSelected, say }: LeafMarginProps) {
  const { index, reach, needs, placeIn } = placing;
  if (selected && index) {
    const close = (kept: Entry | null) => {
      setSelected(null);
      const cue = kept && typedCue(kept, index.collections.get(kept.collection));
      say(kept && `Kept: “${kept.content.title}”${cue ? `. Type ${cue} to bring it` : ''}.`);
      editor.commands.focus();
    };
    const keepable = index.bank.collections.filter(({ right }) => right === 'keep');
    const home =
      keepable.find(({ kindsOfWork }) => kindsOfWork.includes(one.kind)) ?? keepable.find(({ own }) => own);
    const placements = placementsOf(editor.state.doc);
    return (
      <CaptureSlip
        words={selected.words}
        placements={placements}
        needs={needs}
        index={index}
        home={home?.id ?? ''}
        close={close}
      />
    );
  }
  if (!leaf.blank && !leaf.placement) {
    return <ReachList index={index} reach={reach} place={(id) => placeIn(editor, id)} />;
  }
  return (
    <div className="grid gap-4">
      {leaf.blank && <BlankPanel editor={editor} blank={leaf.blank} record={one.record} />}
      {leaf.placement && <PlacementPanel editor={editor} id={leaf.placement} brief={leaf.blank !== null} />}
    </div>
  );
}

/** The margin of a leaf: everything about the line at hand, level with it, beneath what stands there anyway. */
export function LeafMargin(props: LeafMarginProps) {
  const { editor, leaf, selected, finishing } = props;
  return (
    <div className="pt-6">
      <Standing {...props} />
      {finishing.state === 'open' && (
        <Level editor={editor} pos={selected?.pos ?? leaf.blank?.pos ?? editor.state.selection.from}>
          <OfTheLine {...props} />
        </Level>
      )}
    </div>
  );
}
