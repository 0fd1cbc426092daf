import { useEffect, useMemo, useState } from 'react';
import { useEditorState, type Editor } from '@tiptap/react';
import type { Player } from '#client/player';
import type { Case, CaseFile } from '#contracts';
import type { Transcript } from '#core/transcript';
import { followRecording, showHeard, turnsIn } from '../../editor';
import { NO_MATERIAL, type LeafWithMaterial, type Material } from '../../leaf';
import { FindSlip, giveKeys } from '../../writing';
import { CastForm } from './CastForm';
import { CastPanel } from './CastPanel';
import { CleanSlip } from './CleanSlip';
import { CorrectionNotice } from './CorrectionNotice';
import { recordingOf } from './recordingOf';
import { PartsSlip } from './PartsSlip';
import { RecordingBar, STEP } from './RecordingBar';
import { PedalSlip } from './PedalSlip';
import { SpokenSlip } from './SpokenSlip';
import { Summary } from './Summary';
import { TakeAway } from './TakeAway';
import { TakeText } from './TakeText';
import { TakeRecording } from './TakeRecording';
import { TermsSlip } from './TermsSlip';
import { TurnActs } from './turnActs';
import { UnclearList } from './UnclearList';
import { useCorrection } from './useCorrection';
import { useOwnTerms } from './useOwnTerms';
import { usePlayer, usePlayerLength } from './usePlayer';
import { usePedal } from './usePedal';
import { useCastState, useTurnKeys } from './useTurnKeys';
import { WritingStyle } from './WritingStyle';

type Asked = 'cast' | 'style' | 'away' | 'pedal' | 'terms' | 'like' | 'clean' | 'spoken' | 'parts' | null;

/** The text knows where the recording is, plays it from a time, and shows what of it is heard. */
function useClock({ editor }: LeafWithMaterial, player: Player | null): void {
  useEffect(() => {
    if (!player) return;
    const untie = followRecording(editor, {
      now: player.place,
      playFrom: (at) => player.playFrom(at / 1000),
    });
    const show = () => {
      if (!editor.isDestroyed) showHeard(editor.view, player.place());
    };
    const stop = player.listen(show);
    return () => {
      stop();
      untie();
    };
  }, [editor, player]);
}

/** What is done with the recording by keys that work in the middle of a word. */
const playing = (player: Player | null): Material['actions'] => [
  { label: 'Play, or pause', key: 'Alt + .', run: () => player?.toggle() },
  { label: `Back ${STEP} seconds`, key: 'Alt + ,', run: () => player?.step(-STEP) },
  { label: `On ${STEP} seconds`, key: 'Alt + /', run: () => player?.step(STEP) },
  { label: 'Slower', key: 'Alt + Z', run: () => player?.faster(-1) },
  { label: 'Faster', key: 'Alt + V', run: () => player?.faster(1) },
  { label: 'Repeat a stretch: from here, to here, no more', key: 'Alt + E', run: () => player?.loopNext() },
];

/** What is done with turns and times by keys, and by the look-up. */
const writing = (
  acts: TurnActs,
  choose: () => void,
  ask: (asked: Asked) => void,
  takeText: () => void,
): Material['actions'] => [
  { label: 'Turn of the next speaker', key: 'Alt + Enter', run: () => acts.next() },
  { label: 'Turn of a speaker, by their key', key: 'Alt + T', run: choose },
  { label: 'Time code here', key: 'Alt + H', run: () => acts.putTime() },
  { label: 'Play from the turn at the cursor', key: 'Alt + [', run: () => acts.playHere() },
  { label: 'Next unclear place', key: "Alt + '", run: () => acts.nextUnclear() },
  { label: 'Keep this word for the recording', key: 'Alt + ]', run: () => acts.keepTerm() },
  { label: 'Clean or verbatim', run: () => ask('clean') },
  { label: 'Dictated marks: full stop, comma, new line', run: () => ask('spoken') },
  { label: 'Mark as a false start, or take the mark off', run: () => acts.toggleDisfluent() },
  { label: 'Names and terms of this recording', run: () => ask('terms') },
  { label: 'Join this turn to the one before', run: () => acts.join() },
  { label: 'Take a text in', run: takeText },
  { label: 'Parts of the recording, and what others wrote', run: () => ask('parts') },
  { label: 'Change the cast', run: () => ask('cast') },
  { label: 'Labels and times', run: () => ask('style') },
  { label: 'Pedal and keys of your own', run: () => ask('pedal') },
  { label: 'Take the transcript away', run: () => ask('away') },
];

/** How long the recording is, in milliseconds; null where that is not known. */
function useLength(player: Player | null): number | null {
  const length = usePlayerLength(player);
  return length === null ? null : Math.round(length * 1000);
}

/** The language that a case says its recording is in; '' where it says none. */
function languageIn({ record: { details } }: Case): string {
  const said = details.find(({ path }) => path === 'language')?.value;
  return said?.kind === 'text' ? said.text : '';
}

const TakeAwayFinished = ({ leaf: { one, editor }, player }: Pick<MarginProps, 'leaf' | 'player'>) => (
  <TakeAway {...{ one, editor }} length={useLength(player)} close={null} />
);

interface MarginProps {
  leaf: LeafWithMaterial;
  player: Player | null;
  acts: TurnActs;
  isChoosing: boolean;
  pedal: ReturnType<typeof usePedal>;
  asked: Asked;
  ask: (asked: Asked) => void;
}

interface AskedProps extends Pick<MarginProps, 'acts' | 'pedal'> {
  asked: Exclude<Asked, null>;
  editor: Editor;
  one: Case;
  transcript: Transcript;
  turns: ReadonlyMap<string, number>;
  length: number | null;
  close: () => void;
}

/** The slip that was asked for, in place of what stands beside the text. */
function AskedFor({ asked, editor, one, acts, pedal, transcript, turns, length, close }: AskedProps) {
  switch (asked) {
    case 'cast':
      return <CastForm {...{ turns, acts, close }} cast={transcript.cast} />;
    case 'style':
      return <WritingStyle {...{ transcript, acts, close }} />;
    case 'clean':
      return <CleanSlip {...{ editor, acts, close }} language={languageIn(one)} />;
    case 'spoken':
      return <SpokenSlip {...{ editor, acts, close }} language={languageIn(one)} />;
    case 'parts':
      return <PartsSlip {...{ one, transcript, acts, close }} />;
    case 'terms':
      return <TermsSlip {...{ transcript, acts, close }} />;
    case 'pedal':
      return <PedalSlip {...{ pedal, close }} />;
    case 'away':
      return <TakeAway {...{ one, editor, length, close }} />;
    case 'like':
      return null;
  }
}

/** The cast beside the text, or what is asked of it; beneath it what is to be heard again. */
function TranscriptMargin({
  leaf: { editor, one, open },
  player,
  acts,
  isChoosing,
  pedal,
  asked,
  ask,
}: MarginProps) {
  const { transcript, next, here, hasTurns } = useCastState(editor);
  const turns = useEditorState({
    editor,
    selector: ({ editor: { state } }) => {
      const counts: Record<string, number> = {};
      for (const { attrs } of turnsIn(state.doc)) counts[attrs.speaker] = (counts[attrs.speaker] ?? 0) + 1;
      return counts;
    },
  });
  const length = useLength(player);
  const { like, forget } = useCorrection(editor, open);
  const close = () => {
    if (asked === 'like') forget();
    ask(null);
    giveKeys(editor.view);
  };
  const { cast } = transcript;
  return (
    <div
      className="mb-4 grid grid-cols-1 gap-4"
      onKeyDown={(event) => {
        if (event.key === 'Escape' && asked) close();
      }}
    >
      {asked === 'like' && like && (
        <FindSlip editor={editor} begin={{ words: like.from, put: like.to }} close={close} />
      )}
      {asked && (
        <AskedFor
          {...{ asked, editor, one, acts, pedal, transcript, length, close }}
          turns={new Map(Object.entries(turns))}
        />
      )}
      {!asked && (
        <>
          <CastPanel {...{ cast, next, here, isChoosing, acts }} change={() => ask('cast')} />
          {like && <CorrectionNotice {...{ like, forget }} see={() => ask('like')} />}
          {hasTurns && <Summary {...{ editor, length }} />}
          <UnclearList {...{ editor, acts, length }} />
        </>
      )}
    </div>
  );
}

interface HeadProps {
  one: Case;
  file: CaseFile | null;
  heard: ReturnType<typeof usePlayer>;
  acts: TurnActs;
  /** Whether the text can be written on. */
  open: boolean;
  editor: Editor;
  /** Whether a text was asked for, where that is not offered by itself. */
  takesText: boolean;
}

/** The recording of a case at the head of its leaf; where there is none, and no text yet, how to take one in. */
function Head({ one, file, heard, acts, open, editor, takesText }: HeadProps) {
  // As it was opened: what is told of a text that was taken in stays when its turns are there.
  const [isBegun] = useState(() => turnsIn(editor.state.doc).length > 0);
  return (
    <>
      {file ? <RecordingBar of={one.id} file={file} {...heard} /> : <TakeRecording of={one.id} />}
      {open && (takesText || !isBegun) && <TakeText acts={acts} isAsked={takesText} />}
    </>
  );
}

/** The recording of a case and its cast, with the keys that play it and begin turns while one writes. */
export function useTranscript(leaf: LeafWithMaterial): Material {
  const { one, editor, open, say } = leaf;
  const file = recordingOf(one);
  const heard = usePlayer(file?.id ?? null);
  const { player } = heard;
  const acts = useMemo(() => new TurnActs(editor, say), [editor, say]);
  const { isChoosing, choose } = useTurnKeys(editor, acts);
  const [asked, ask] = useState<Asked>(null);
  const [takesText, takeText] = useState(false);
  const pedal = usePedal(player, acts);
  useClock(leaf, player);
  useOwnTerms(leaf);
  return {
    ...NO_MATERIAL,
    above: <Head {...{ one, file, heard, acts, open, editor, takesText }} />,
    actions: [
      ...(file ? playing(player) : []),
      ...(open ? writing(acts, choose, ask, () => takeText(true)) : []),
    ],
    beside: <TranscriptMargin {...{ leaf, player, acts, isChoosing, pedal, asked, ask }} />,
    listsReach: asked === null,
    takeAway: <TakeAwayFinished {...{ leaf, player }} />,
  };
}
