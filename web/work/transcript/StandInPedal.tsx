import { STAND_IN_RESTS, type StandInRest } from '#contracts';
import { Figure } from '../../shell';
import { Key, Notice } from '../../ui';
import { useStandIn } from './useStandIn';

const NAMES: Record<StandInRest, string> = { left: 'Left', middle: 'Middle', right: 'Right' };
/** What each does until a leaf is taught otherwise. */
const USUAL: Record<StandInRest, string> = {
  left: 'Back 3 seconds',
  middle: 'Plays while it is held',
  right: 'On 3 seconds',
};

const isPressKey = (key: string) => key === ' ' || key === 'Enter';

/** A pedal for who has none: held down here, it is heard by the recording that the same member has open in another window or elsewhere. */
export function StandInPedal() {
  const { down, isLost, set } = useStandIn();
  return (
    <Figure
      marginLabel="About the on-screen pedal"
      margin={
        <p className="pt-6 text-[14px] text-soft">
          Open a recording in another window, or on another computer where you are signed in, and hold down a
          rest here. Each can be taught something else there: Pedal and keys of your own (F2).
        </p>
      }
    >
      <header className="px-9 pt-6 pb-2 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight">On-screen pedal</h1>
      </header>
      {isLost && (
        <div className="px-9 max-[899px]:px-4">
          <Notice tone="warning" title="The server could not be reached.">
            The recording has not heard the last press. Nothing else is lost; press again once it is back.
          </Notice>
        </div>
      )}
      <div className="grid grid-cols-3 gap-3 px-9 pt-2 pb-8 max-[899px]:px-4">
        {STAND_IN_RESTS.map((rest, at) => (
          <button
            key={rest}
            type="button"
            className="pedal-rest"
            aria-pressed={down.has(rest)}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              set(rest, true);
            }}
            onPointerUp={() => set(rest, false)}
            onPointerCancel={() => set(rest, false)}
            onContextMenu={(event) => event.preventDefault()}
            onKeyDown={(event) => {
              if (isPressKey(event.key)) set(rest, true);
            }}
            onKeyUp={(event) => {
              if (isPressKey(event.key)) set(rest, false);
            }}
          >
            <span className="font-book text-[19px]">{NAMES[rest]}</span>
            <span className="text-[13px] text-soft">{USUAL[rest]}</span>
            <Key>{String(at + 1)}</Key>
          </button>
        ))}
      </div>
    </Figure>
  );
}
