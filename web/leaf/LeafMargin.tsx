import { closeHistory } from '@tiptap/pm/history';
import type { Editor } from '@tiptap/react';
import type { Dispatch, ReactNode, SetStateAction } from 'react';
import type { Case, Draft, Entry, Member } from '#contracts';
import { filesAlong, languageOf } from '#core/draft';
import { finishedPassage } from '#core/fill';
import { inWords } from '#client/api';
import { entryIn, keysOfEntry } from '#core/bank';
import { placementsOf, replaceDraft } from '../editor';
import { Notice } from '../ui';
import {
  BlankOffers,
  BlankPanel,
  giveKeys,
  CaptureSlip,
  CommandPanel,
  FinishedPanel,
  GapsPanel,
  LettersPanel,
  KeepingNotice,
  Level,
  OutOfReach,
  OffersPanel,
  takeOffer,
  type OfferHost,
  NewerWording,
  PlacementActions,
  PlacementPanel,
  QuestionList,
  type Spelling,
  StatementPanel,
  ReachList,
  type useFinishing,
  type KeptSlip,
  type LeafSlip,
  documentOf,
  type LeafState,
  type usePlacing,
  useSmallWords,
  useTyped,
} from '../writing';
import type { DraftKeeper, Keeping } from '#client/drafts';
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
  const acts = {
    reopen: () => finishing.reopen.mutate(),
    reopening: finishing.reopen.isPending,
    isNew: !finishing.finish.isIdle,
  };
  if (material.finished) return material.finished(acts);
  const document = documentOf(editor);
  const title = one.number ? `${one.title} ${one.number}` : one.title;
  const passage = finishedPassage(document);
  const language = languageOf(document) ?? 'en-GB';
  const writtenAt = one.drafts.find(({ id }) => id === keeper.draftId)?.savedAt ?? new Date().toISOString();
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

/** The slip for selected words, in the collection that is nearest to the work in hand. */
function Capture({ one, editor, placing, selected, setSelected, say }: LeafMarginProps) {
  const { index, caseToday } = placing;
  if (!selected || !index) return null;
  const close = (kept: Entry | null) => {
    setSelected(null);
    const keys = kept && keysOfEntry(kept, index.collections.get(kept.collection));
    say(kept && `Saved: “${kept.content.title}”${keys ? `. Type ${keys} to place it` : ''}.`);
    giveKeys(editor.view);
  };
  const keepable = index.bank.collections.filter(({ right }) => right === 'keep');
  const home =
    keepable.find(({ kindsOfWork }) => kindsOfWork.includes(one.kind)) ?? keepable.find(({ own }) => own);
  return (
    <CaptureSlip
      words={selected.words}
      placements={placementsOf(editor.state.doc)}
      needs={caseToday}
      index={index}
      home={home?.id ?? ''}
      fields={selected.fields}
      put={(change) => setSelected((now) => now && { ...now, fields: { ...now.fields, ...change } })}
      close={close}
    />
  );
}

/** What speaks of what is being typed: a text command, keys begun, offers; with none, of the text at the caret. */
function OfTheTyped(props: LeafMarginProps & { children: ReactNode }) {
  const { one, editor, placing, offering, children } = props;
  const { index, reach, host } = placing;
  const { command, begun, offered, outside } = useTyped(editor, reach?.outside ?? null);
  if (command) return <CommandPanel told={command} />;
  if (begun) return <LettersPanel begun={begun} index={placing.index} />;
  if (outside && index)
    return (
      <>
        <OutOfReach
          editor={editor}
          cue={outside}
          kind={one.kind}
          index={index}
          placeAt={(entry, from, to) => host.placeAt(editor, entry, outside.typed, from, to)}
        />
        {children}
      </>
    );
  if (!offered) return children;
  const take = (at: number) => takeOffer(editor.view, offering.host, at);
  const { sourceOf, cueOf } = offering;
  return <OffersPanel {...{ offered, sourceOf, cueOf, take }} />;
}

/** Whether nothing of the bank is at the caret. */
const isPlain = ({ blank, placement, statement }: LeafState): boolean => !blank && !placement && !statement;

/** What speaks of the text at the caret: its blank, statement and placement, else what is in reach. */
function OfTheText({ one, editor, leaf, placing, offering, keeper, material }: LeafMarginProps) {
  const { index, reach, placeIn, host } = placing;
  if (isPlain(leaf) && !material.listsReach) return null;
  if (isPlain(leaf)) {
    return (
      <ReachList
        kind={one.kind}
        index={index}
        reach={reach}
        before={leaf.before}
        placed={new Set(Object.values(placementsOf(editor.state.doc)).map(({ entry }) => entry))}
        place={(id) => {
          const placement = placeIn(editor, id);
          if (placement) offering.host.brought(placement, id, 1, 'click');
        }}
      />
    );
  }
  const entry = leaf.placed && index?.entries.get(leaf.placed.entry);
  return (
    <div className="grid gap-4">
      {leaf.blank && <BlankPanel editor={editor} blank={leaf.blank} record={one.record} />}
      {leaf.blank && (
        <BlankOffers
          key={`${leaf.blank.attrs.placement} ${leaf.blank.attrs.field}`}
          editor={editor}
          blank={leaf.blank.pos}
          host={offering.host}
          sourceOf={offering.sourceOf}
          cueOf={offering.cueOf}
        />
      )}
      {leaf.statement && <StatementPanel editor={editor} statement={leaf.statement} />}
      {leaf.placement && leaf.placed && (
        <PlacementPanel
          editor={editor}
          draft={keeper.draftId}
          id={leaf.placement}
          brief={leaf.blank !== null}
          content={(index && entryIn(index, leaf.placed.entry)?.content) ?? undefined}
          renew={(id, wording) => host.renew(editor, id, wording)}
          rivals={host.rivals(leaf.placed).flatMap((id) => {
            const other = index?.entries.get(id);
            const collection = other && index?.collections.get(other.collection);
            return collection ? [{ id, title: other.content.title, collection: collection.name }] : [];
          })}
          replace={(entry) => host.replace(editor, leaf.placement!, entry)}
          actions={
            entry &&
            index && (
              <PlacementActions
                key={leaf.placement}
                editor={editor}
                id={leaf.placement}
                entry={entry}
                index={index}
                changedByHand={host.changedByHand}
              />
            )
          }
        />
      )}
    </div>
  );
}

/** What speaks of the caret's line: the slip for selected words or asked for by a key, else the text. */
function OfTheLine(props: LeafMarginProps) {
  if (props.selected && props.placing.index) return <Capture {...props} />;
  if (props.slip) return <SlipAskedFor {...props} slip={props.slip} />;
  if (props.material.isReading) return null;
  return (
    <OfTheTyped {...props}>
      <OfTheText {...props} />
    </OfTheTyped>
  );
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
