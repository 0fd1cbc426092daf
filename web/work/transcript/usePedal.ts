import { useCallback, useEffect, useId, useRef, useState } from 'react';
import { z } from 'zod';
import { keep, kept } from '#client/kept';
import {
  hearDevices,
  hearPresses,
  hearStandIn,
  pagePresses,
  standInPress,
  type Heard,
  type Press,
} from '#client/pedal';
import type { Player } from '#client/player';
import { STEP } from './RecordingBar';
import type { TurnActs } from './turnActs';

/** What a key or pedal can be taught, beside the keys that each act has. */
export const PEDAL_ACTS = {
  hold: 'Play while it is held down',
  toggle: 'Play, or pause',
  back: `Back ${STEP} seconds`,
  on: `On ${STEP} seconds`,
  slower: 'Slower',
  faster: 'Faster',
  next: 'Turn of the next speaker',
  time: 'Time code here',
} as const;
export type PedalAct = keyof typeof PEDAL_ACTS;
export const PEDAL_ACT_IDS = Object.keys(PEDAL_ACTS) as PedalAct[];

/** The press that each act was taught. */
export type Taught = Partial<Record<PedalAct, Press>>;

/** What the stand-in pedal does until it is taught otherwise. */
const UNTAUGHT: Taught = {
  back: standInPress('left'),
  hold: standInPress('middle'),
  on: standInPress('right'),
};

const KEPT = 'recording.pedal';
/** The page of this browser in which a recording was last at hand: several can be open, and a pedal plays one. */
const HEARD_BY = 'recording.heard-by';
const PressSchema = z.object({ id: z.string().max(80), label: z.string().max(80) });
const TaughtSchema: z.ZodType<Taught> = z.partialRecord(z.enum(PEDAL_ACT_IDS as [PedalAct]), PressSchema);

/** What is taught after one more act is: a press does one thing. */
export function withPress(taught: Taught, act: PedalAct, press: Press | null): Taught {
  const others = Object.entries(taught).filter(([of, { id }]) => of !== act && id !== press?.id);
  return { ...Object.fromEntries(others), ...(press && { [act]: press }) };
}

/** Does what a press was taught; false for one that was taught nothing. */
function doTaught(act: PedalAct, isDown: boolean, player: Player | null, acts: TurnActs): void {
  if (act === 'hold') {
    if (player && player.now().isPlaying !== isDown) player.toggle();
    return;
  }
  if (!isDown) return;
  const runs: Record<Exclude<PedalAct, 'hold'>, () => void> = {
    toggle: () => player?.toggle(),
    back: () => player?.step(-STEP),
    on: () => player?.step(STEP),
    slower: () => player?.faster(-1),
    faster: () => player?.faster(1),
    next: () => acts.next(),
    time: () => acts.putTime(),
  };
  runs[act]();
}

/** Whether this page is the one of the browser that was last at hand. */
function useAtHand(): () => boolean {
  const page = useId();
  const self = useRef(`${performance.timeOrigin}${page}`);
  useEffect(() => {
    const here = () => keep(HEARD_BY, self.current);
    here();
    window.addEventListener('focus', here);
    return () => window.removeEventListener('focus', here);
  }, []);
  return useCallback(() => kept(HEARD_BY, z.string()) === self.current, []);
}

/**
 * Keys and buttons that were taught what to do with the recording, on this computer; heard as long as the leaf is open. While one is being
 * taught, the next press is what it is taught.
 */
export function usePedal(player: Player | null, acts: TurnActs) {
  const [taught, setTaught] = useState<Taught>(() => kept(KEPT, TaughtSchema) ?? UNTAUGHT);
  // Pedals that were let in since are listened to as well.
  const [letIn, setLetIn] = useState(0);
  const isAtHand = useAtHand();
  const [teaching, teach] = useState<PedalAct | null>(null);
  const set = (act: PedalAct, press: Press | null) => {
    const now = withPress(taught, act, press);
    setTaught(now);
    keep(KEPT, now);
    teach(null);
  };
  const latest = useRef({ taught, teaching, set, player, acts });
  useEffect(() => {
    latest.current = { taught, teaching, set, player, acts };
  });
  useEffect(() => {
    const heard: Heard = (press, isDown) => {
      const now = latest.current;
      if (now.teaching) {
        if (isDown) now.set(now.teaching, press);
        return true;
      }
      const act = PEDAL_ACT_IDS.find((of) => now.taught[of]?.id === press.id);
      if (act) doTaught(act, isDown, now.player, now.acts);
      return act !== undefined;
    };
    // What presses on another page is heard where one was last, or several recordings would play at once.
    const hereAlone: Heard = (press, isDown) => (!isDown || isAtHand()) && heard(press, isDown);
    const ends = [hearPresses(pagePresses(), heard), hearDevices(hereAlone), hearStandIn(hereAlone)];
    return () => ends.forEach((end) => end());
  }, [isAtHand, letIn]);
  return {
    taught,
    teaching,
    teach,
    forget: (act: PedalAct) => set(act, null),
    listenAgain: () => setLetIn((count) => count + 1),
  };
}
