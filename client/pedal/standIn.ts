import type { StandInRest } from '#contracts';
import type { Heard, Press } from './presses';

/** The press that a rest of the stand-in pedal is. */
export const standInPress = (rest: StandInRest): Press => ({
  id: `StandIn:${rest}`,
  label: `On-screen pedal, ${rest}`,
});

type Told = { rest: StandInRest; isDown: boolean } | 'lost';

const listeners = new Set<(told: Told) => void>();

/** Tells who listens on this page what the stand-in pedal did elsewhere; `lost` when something may have been missed. */
export function tellStandIn(told: Told): void {
  for (const listener of listeners) listener(told);
}

/**
 * Hears the stand-in pedal that another window of the member holds. What is down goes up where the connection was lost: nobody would hear
 * of it otherwise. Gives what ends it.
 */
export function hearStandIn(heard: Heard): () => void {
  const down = new Set<StandInRest>();
  const listener = (told: Told) => {
    if (told === 'lost') {
      for (const rest of down) heard(standInPress(rest), false);
      down.clear();
      return;
    }
    if (down.has(told.rest) === told.isDown) return;
    if (told.isDown) down.add(told.rest);
    else down.delete(told.rest);
    heard(standInPress(told.rest), told.isDown);
  };
  listeners.add(listener);
  return () => listeners.delete(listener);
}
