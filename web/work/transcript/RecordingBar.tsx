import type { RefCallback } from 'react';
import { pathFor, type CaseFile } from '#contracts';
import { SPEEDS, type Player, type PlayerState } from '#client/player';
import { clockTime } from '#core/transcript';
import { useReached } from '../../shell';
import { Button, Key, Notice } from '../../ui';
import { STAYS_IN_SIGHT } from '../../writing';
import { useWave, WaveLine } from './WaveLine';
import { STEPS_BACK, usePlayerState, useStepBack } from './usePlayer';

/** By so many seconds one steps. */
export const STEP = 3;

const FAILED: Record<NonNullable<PlayerState['failed']>, string> = {
  network: 'The server could not be reached. What was heard so far is remembered; play on once it is back.',
  broken: 'It is broken from here on. Go on behind this place, or take in a whole copy.',
  'unknown-format':
    'This browser cannot play what it is written in, or it holds no sound. Save it as mp3, m4a, ogg or wav.',
};

const ALL_SPEEDS = Array.from(
  { length: Math.round((SPEEDS.most - SPEEDS.least) / SPEEDS.step) + 1 },
  (_, at) => Math.round((SPEEDS.least + at * SPEEDS.step) * 10) / 10,
);

function loopInWords({ loop }: PlayerState): string {
  if (!loop) return 'Repeat from here';
  return loop.to === null ? `Repeat from ${clockTime(loop.from)} to here` : 'Repeat no more';
}

interface Props {
  of: string;
  file: CaseFile;
  element: RefCallback<HTMLMediaElement>;
  player: Player | null;
}

/** How a recording is heard: how fast and loud, how far pausing goes back, what is heard again. */
function HowHeard({ player, state }: Pick<Props, 'player'> & { state: PlayerState }) {
  const [stepBack, setStepBack] = useStepBack();
  const { speed } = state;
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-1 text-[13px] text-soft">
      <label className="flex items-center gap-1.5">
        Speed
        <select
          className="input w-auto"
          value={speed}
          onChange={({ target }) => player?.setSpeed(Number(target.value))}
        >
          {ALL_SPEEDS.map((one) => (
            <option key={one} value={one}>
              {one.toLocaleString(undefined, { minimumFractionDigits: 1 })}
            </option>
          ))}
        </select>
      </label>
      <label className="flex items-center gap-1.5">
        Volume
        <input
          type="range"
          className="w-24"
          min={0}
          max={1}
          step={0.05}
          value={state.volume}
          onChange={({ target }) => player?.setVolume(Number(target.value))}
        />
      </label>
      <label className="flex items-center gap-1.5">
        Pausing goes back
        <select
          className="input w-auto"
          value={stepBack}
          onChange={({ target }) => setStepBack(Number(target.value))}
        >
          {STEPS_BACK.map((seconds) => (
            <option key={seconds} value={seconds}>
              {seconds} s
            </option>
          ))}
        </select>
      </label>
      <Button look="text" onClick={() => player?.loopNext()}>
        {loopInWords(state)} <Key>Alt + E</Key>
      </Button>
    </div>
  );
}

/** A recording in a band at the head of the leaf: where one is in it, how fast it is heard, and what moves in it. */
export function RecordingBar({ of, file, element, player }: Props) {
  const source = pathFor('caseFile', { case: of, file: file.id });
  const state = usePlayerState(player);
  const wave = useWave(file.id, source);
  const { at, length, isPlaying, failed } = state;
  // Browsers say of sound that cannot be fetched at all what they say of sound they cannot read.
  const isReached = useReached();
  const Media = file.media.startsWith('video/') ? 'video' : 'audio';
  return (
    <section aria-label="Recording" className="recording" data-print="no" {...STAYS_IN_SIGHT}>
      <Media ref={element} src={source} preload="metadata" className="w-full" />
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <Button look="main" onClick={() => player?.toggle()}>
          {isPlaying ? 'Pause' : 'Play'} <Key>Alt + .</Key>
        </Button>
        <Button look="text" onClick={() => player?.step(-STEP)}>
          Back {STEP} s <Key>Alt + ,</Key>
        </Button>
        <Button look="text" onClick={() => player?.step(STEP)}>
          On {STEP} s <Key>Alt + /</Key>
        </Button>
        <span className="ml-auto tabular-nums">
          {clockTime(at)}
          {length !== null && <span className="text-soft"> of {clockTime(length)}</span>}
        </span>
      </div>
      <div className="relative">
        {wave && <WaveLine columns={wave.columns} part={wave.part} heard={length ? at / length : 0} />}
        <input
          type="range"
          aria-label="Place in the recording"
          aria-valuetext={clockTime(at)}
          className={wave ? 'on-wave' : 'w-full'}
          min={0}
          max={length ?? Math.max(at, 1)}
          step={0.1}
          value={at}
          disabled={length === null}
          onChange={({ target }) => player?.goTo(Number(target.value))}
        />
      </div>
      <HowHeard player={player} state={state} />
      {failed && (
        <Notice tone="warning" title={`${file.name} cannot be played.`}>
          {FAILED[isReached ? failed : 'network']}
        </Notice>
      )}
    </section>
  );
}
