import { closeHistory } from '@tiptap/pm/history';
import type { Editor } from '@tiptap/react';
import type { Dispatch, SetStateAction } from 'react';
import type { Case, Draft, Member } from '#contracts';
import { filesAlong, languageOf } from '#core/draft';
import { finishedPassage } from '#core/fill';
import { inWords } from '#client/api';
import { replaceDraft } from '../editor';
import { Notice, useNow } from '../ui';
import {
  giveKeys,
  FinishedPanel,
  GapsPanel,
  KeepingNotice,
  Level,
  type OfferHost,
  NewerWording,
  QuestionList,
  type Spelling,
  type useFinishing,
  type KeptSlip,
  type LeafSlip,
  documentOf,
  type LeafState,
  type usePlacing,
  useSmallWords,
} from '../writing';
import type { DraftKeeper, Keeping } from '#client/drafts';
import { AtCaret } from './AtCaret';
import { CaptureSelected } from './CaptureSelected';
import { NewSince } from './NewSince';
import { SlipAskedFor } from './SlipAskedFor';
import type { Material } from './material';
import type { NoteDownload } from './noteDownload';
import type { useOffering } from '../offers';

export interface LeafMarginProps {
  downloads: readonly NoteDownload[];
  material: Material;
  one: Case;
  member: Member;
  editor: Editor;
  leaf: LeafState;
  placing: ReturnType<typeof usePlacing>;
  offering: ReturnType<typeof useOffering> & { host: OfferHost };
  keeper: DraftKeeper;
  keeping: Keeping;
  finishing: ReturnType<typeof useFinishing>;
  /** Words being kept: taken once, so that typing on does not change what is on the slip. */
  selected: KeptSlip | null;
  setSelected: Dispatch<SetStateAction<KeptSlip | null>>;
  said: string | null;
  say: (words: string | null) => void;
  gapsShown: boolean;
  slip: LeafSlip | null;
  openSlip: (slip: LeafSlip | null) => void;
  hideGaps: () => void;
  /** Whether the questions of the leaf are listed beside it. */
  questions: { isListed: boolean };
  spelling: Spelling;
}

/** What can be done with the finished text, with what this kind of work has besides. */
function Finished({ one, member, editor, keeper, finishing, downloads, material }: LeafMarginProps) {
  const now = useNow();
  const acts = {
    reopen: () => finishing.reopen.mutate(),
    reopening: finishing.reopen.isPending,
    isNew: !finishing.finish.isIdle,
  };
  if (material.finished) return material.finished(acts);
  const document = documentOf(editor);
  const title = one.number ? `${one.title} ${one.number}` : one.title;
  const passage = material.outgoing(finishedPassage(document));
  const language = languageOf(document) ?? 'en-GB';
  const writtenAt = one.drafts.find(({ id }) => id === keeper.draftId)?.savedAt ?? now.toISOString();
  const note = { title: one.title, passage, language, writtenAt, author: member.name, record: one.record };
  return (
    <>
      {material.outcome(acts)}
      <FinishedPanel
        draft={keeper.draftId}
        files={filesAlong(document)}
        {...{ passage, language, title }}
        more={downloads.map(({ label, save }) => ({ label, save: () => save(note, title) }))}
        {...acts}
      />
      {material.takeAway}
    </>
  );
}

/** What stands in the margin whatever line the caret is on: saving, gaps, newer wordings, finishing. */
function Standing(props: LeafMarginProps) {
  const { one, member, editor, leaf, placing, keeper, keeping, finishing, said, say, gapsShown, hideGaps } =
    props;
  const open = finishing.state === 'open';
  const takeTheirs = (theirs: Draft) => {
    const mine = documentOf(editor);
    // A step of its own for undo, however soon after the last key.
    editor.view.dispatch(closeHistory(replaceDraft(editor.state, theirs.document)));
    keeper.takenOver(theirs, mine);
    giveKeys(editor.view);
    say('The other text is on the leaf now. Yours is among the earlier states, and undo brings it back.');
  };
  return (
    // Finished, it stays in sight however far down the leaf one is: what goes out can be taken back there.
    <div
      className={`margin-standing grid gap-4 ${open ? '' : 'sticky top-3 max-h-[calc(100vh-1.5rem)] overflow-y-auto'}`}
    >
      <KeepingNotice
        keeping={keeping}
        member={member}
        goOn={() => keeper.goOnFrom(keeper.savedVersion)}
        keepMine={({ version }) => keeper.saveOver(version)}
        takeTheirs={takeTheirs}
      />
      {finishing.error && <Notice tone="warning" title={inWords(finishing.error)} />}
      {said && <Notice title={said} />}
      {gapsShown && open && leaf.gaps.length > 0 && (
        <GapsPanel editor={editor} gaps={leaf.gaps} close={hideGaps} />
      )}
      {open && <NewSince one={one} editor={editor} />}
      {open && placing.index && (
        <NewerWording
          editor={editor}
          index={placing.index}
          renew={(id, wording, before) => placing.host.renew(editor, id, wording, before)}
        />
      )}
      {!open && <Finished {...props} />}
    </div>
  );
}

/** What speaks of the caret's line: the slip for selected words or asked for by a key, else the text. */
function OfTheLine(props: LeafMarginProps) {
  if (props.selected && props.placing.index) return <CaptureSelected {...props} />;
  if (props.slip) return <SlipAskedFor {...props} slip={props.slip} />;
  if (props.material.isReading) return null;
  return <AtCaret {...props} draft={props.keeper.draftId} listsReach={props.material.listsReach} />;
}

/** The margin of a leaf: everything about the line at hand, level with it, beneath what stands there anyway. */
export function LeafMargin(props: LeafMarginProps) {
  const { editor, leaf, selected, finishing } = props;
  useSmallWords(props.spelling.language);
  return (
    <div
      className={`pt-6 ${finishing.state === 'open' ? '' : 'h-full'}`}
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || event.defaultPrevented) return;
        giveKeys(editor.view);
      }}
    >
      <Standing {...props} />
      {props.questions.isListed && finishing.state === 'open' && <QuestionList editor={editor} />}
      {finishing.state === 'open' && (
        <Level editor={editor} pos={selected?.pos ?? leaf.blank?.pos ?? null}>
          {props.material.beside}
          <OfTheLine {...props} />
        </Level>
      )}
    </div>
  );
}
