import { useState } from 'react';
import { ASKED_FOR, askable, askForPedal, type AskedFor } from '#client/pedal';
import { Button, Key } from '../../ui';
import { PEDAL_ACT_IDS, PEDAL_ACTS, type usePedal } from './usePedal';

interface Props {
  pedal: ReturnType<typeof usePedal>;
  close: () => void;
}

/** Pedals that the browser lets a page have only when asked, and one for who has none. */
function OtherPedals({ letIn }: { letIn: () => void }) {
  const [told, tell] = useState<string | null>(null);
  const ask = async (sort: AskedFor) => {
    const found = await askForPedal(sort);
    letIn();
    const name = `${ASKED_FOR[sort]} pedal`;
    tell(found ? `A ${name} is heard now. Teach it what to do.` : `No ${name} was found or let in.`);
  };
  return (
    <div className="mt-2 grid gap-1 border-t border-hair pt-2 text-[14px]">
      {askable().map((sort) => (
        <span key={sort}>
          <Button look="text" onClick={() => void ask(sort)}>
            Look for a {ASKED_FOR[sort]} pedal
          </Button>
        </span>
      ))}
      <a href="/pedal" target="elderleaf-pedal" className="text-elder underline">
        Open the on-screen pedal in another window
      </a>
      {told && <p role="status">{told}</p>}
    </div>
  );
}

/** Teaches keys, foot switches and the buttons of a gamepad what to do with the recording. */
export const PedalSlip = ({ pedal: { taught, teaching, teach, forget, listenAgain }, close }: Props) => (
  <section
    aria-label="Pedal and keys of one’s own"
    className="slip"
    onKeyDown={(event) => {
      if (event.key !== 'Escape' || !teaching) return;
      event.stopPropagation();
      teach(null);
    }}
  >
    <h2 className="section-head">Pedal and keys of your own</h2>
    <p className="text-[13px] text-soft">
      Choose an act, then press the pedal or key. Foot switches, gamepads, the keypad and keys with Ctrl or
      Alt can be taught. It is remembered on this computer; the usual keys go on working.
    </p>
    <ul className="mt-2 grid gap-1 text-[14px]">
      {PEDAL_ACT_IDS.map((act, at) => (
        <li key={act} className="flex min-h-8 items-center gap-2 border-t border-hair">
          <span className="grow">{PEDAL_ACTS[act]}</span>
          {taught[act] && (
            <>
              <Key>{taught[act].label}</Key>
              <Button look="text" aria-label={`Forget ${taught[act].label}`} onClick={() => forget(act)}>
                Forget
              </Button>
            </>
          )}
          <Button
            look="text"
            autoFocus={at === 0}
            aria-label={`Teach: ${PEDAL_ACTS[act]}`}
            aria-pressed={teaching === act}
            onClick={() => teach(teaching === act ? null : act)}
          >
            {teaching === act ? 'Press it now …' : 'Teach'}
          </Button>
        </li>
      ))}
    </ul>
    <OtherPedals letIn={listenAgain} />
    <p role="status" className="min-h-5 text-[13px] text-elder">
      {teaching && 'Press the pedal or key now. Esc cancels.'}
    </p>
    <Button onClick={close}>
      Close <Key>Esc</Key>
    </Button>
  </section>
);
