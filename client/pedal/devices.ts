import { hearHid, type HidDevice } from './hid';
import { hearMidi, type MidiLike } from './midi';
import type { Heard } from './presses';

/** What browsers that know USB devices have; TypeScript's own library does not. */
interface Hid {
  getDevices: () => Promise<HidDevice[]>;
  requestDevice: (asked: { filters: readonly object[] }) => Promise<HidDevice[]>;
}

const hidOf = (): Hid | null => ('hid' in navigator ? (navigator.hid as Hid) : null);

/** Sorts of pedals that one has to let the page have, by a question of the browser. */
export const ASKED_FOR = { midi: 'MIDI', hid: 'USB (HID)' } as const;
export type AskedFor = keyof typeof ASKED_FOR;

/** Which of them this browser has. */
export const askable = (): AskedFor[] => [
  ...('requestMIDIAccess' in navigator ? (['midi'] as const) : []),
  ...(hidOf() ? (['hid'] as const) : []),
];

/** Has the browser ask for pedals of a sort; called by a click or a key, or browsers refuse. True where there is one now. */
export async function askForPedal(sort: AskedFor): Promise<boolean> {
  try {
    if (sort === 'hid') return ((await hidOf()?.requestDevice({ filters: [] })) ?? []).length > 0;
    return [...(await navigator.requestMIDIAccess()).inputs.values()].length > 0;
  } catch {
    // Refused by whoever was asked, or by a rule of their browser.
    return false;
  }
}

/** MIDI where the page has it already: nobody is asked by opening a leaf. */
async function grantedMidi(): Promise<MidiLike | null> {
  if (!askable().includes('midi')) return null;
  const { state } = await navigator.permissions.query({ name: 'midi' });
  return state === 'granted' ? navigator.requestMIDIAccess() : null;
}

/** Hears the pedals that the page was given, now or on an earlier day. Gives what ends it. */
export function hearDevices(heard: Heard): () => void {
  const ends: (() => void)[] = [];
  let isOver = false;
  const begin = (hear: () => () => void) => {
    if (!isOver) ends.push(hear());
  };
  grantedMidi()
    .then((access) => access && begin(() => hearMidi(access, heard)))
    .catch(() => undefined);
  hidOf()
    ?.getDevices()
    .then((devices) => begin(() => hearHid(devices, heard)))
    .catch(() => undefined);
  return () => {
    isOver = true;
    ends.splice(0).forEach((end) => end());
  };
}
