import { useCallback, useState, useSyncExternalStore, type RefCallback } from 'react';
import { z } from 'zod';
import { keep, kept } from '#client/kept';
import { Player, type PlayerState } from '#client/player';

/** Pausing goes back by so many seconds, as one has it on this computer. */
const STEP_BACK = 'recording.step-back';
export const STEPS_BACK = [0, 1, 2, 3, 4, 5] as const;
const Seconds = z.number().min(0);

/** Where one was in a recording is remembered again once it is this much further, in seconds. */
const REMEMBERED_EVERY = 5;
const placeOf = (file: string) => `recording.heard-to.${file}`;

const SILENT: PlayerState = {
  ...{ at: 0, length: null, isPlaying: false, speed: 1, volume: 1, loop: null, failed: null },
};
const nothing = () => () => undefined;
const silence = () => SILENT;

/** By how many seconds pausing goes back, and what sets it. */
export function useStepBack(): [number, (seconds: number) => void] {
  const [seconds, set] = useState(() => kept(STEP_BACK, Seconds) ?? 1);
  return [
    seconds,
    (now) => {
      set(now);
      keep(STEP_BACK, now);
    },
  ];
}

/** Begins where one was in a recording, and remembers on this computer how far one is. */
function rememberPlace(player: Player, file: string): () => void {
  let remembered = kept(placeOf(file), Seconds) ?? 0;
  let isAsked = remembered > 0;
  const place = () => {
    const { at, length, isPlaying } = player.now();
    if (isAsked) {
      // A leap before anything of it is known would be forgotten; some never say how long they are.
      if (length !== null || isPlaying) {
        isAsked = false;
        player.goTo(remembered);
      }
    } else if (Math.abs(at - remembered) >= REMEMBERED_EVERY || (!isPlaying && at !== remembered)) {
      remembered = at;
      keep(placeOf(file), at);
    }
  };
  const stop = player.listen(place);
  place();
  return () => {
    stop();
    if (!isAsked) keep(placeOf(file), player.now().at);
  };
}

/** Hears a file by a media element of the page, which is given by `element`; no player until that is there. */
export function usePlayer(file: string | null): {
  player: Player | null;
  element: RefCallback<HTMLMediaElement>;
} {
  const [player, setPlayer] = useState<Player | null>(null);
  const element = useCallback(
    (media: HTMLMediaElement | null) => {
      if (!media || file === null) return;
      const made = new Player(media, () => kept(STEP_BACK, Seconds) ?? 1);
      const forget = rememberPlace(made, file);
      setPlayer(made);
      return () => {
        forget();
        made.end();
        setPlayer(null);
      };
    },
    [file],
  );
  return { player, element };
}

/** What is seen of a recording that is heard: asked for by the parts that show it, not by the whole leaf. */
export const usePlayerState = (player: Player | null): PlayerState =>
  useSyncExternalStore(player?.listen ?? nothing, player?.now ?? silence);

/** How long a recording is, in seconds; null where that is not known. */
export const usePlayerLength = (player: Player | null): number | null =>
  useSyncExternalStore(player?.listen ?? nothing, () => player?.now().length ?? null);
