import type { Heard, Press } from './presses';

type Source = Pick<EventTarget, 'addEventListener' | 'removeEventListener'>;

/** What of a browser's access to MIDI is asked: its inputs, and to be told when one is plugged in. */
export interface MidiLike extends Source {
  inputs: { values: () => Iterable<Source> };
}

/** Kinds of channel message, by the upper half of their first byte (MIDI 1.0, table 1). */
const KIND = { noteOff: 0x8, noteOn: 0x9, control: 0xb } as const;
/** From this value a switch pedal counts as down (MIDI 1.0, table 3: controllers 64 to 69). */
const DOWN_FROM = 64;

/** The press that a MIDI message is, and whether it goes down; null for what no pedal sends. */
export function midiPress(message: Uint8Array): { press: Press; isDown: boolean } | null {
  const [status = 0, number = 0, value = 0] = message;
  const kind = status >> 4;
  const channel = (status & 0xf) + 1;
  if (kind === KIND.control)
    return {
      press: { id: `Midi${channel}:control:${number}`, label: `MIDI control ${number}` },
      isDown: value >= DOWN_FROM,
    };
  if (kind !== KIND.noteOn && kind !== KIND.noteOff) return null;
  const press = { id: `Midi${channel}:note:${number}`, label: `MIDI note ${number}` };
  // A note with no force is one that ends.
  return { press, isDown: kind === KIND.noteOn && value > 0 };
}

/** Hears the pedals and keys of all MIDI devices, those plugged in later too. Gives what ends it. */
export function hearMidi(access: MidiLike, heard: Heard): () => void {
  const down = new Set<string>();
  const hear = (event: Event) => {
    const { data } = event as MIDIMessageEvent;
    const said = data && midiPress(data);
    // A pedal that is moved slowly tells each place it passes.
    if (!said || down.has(said.press.id) === said.isDown) return;
    if (said.isDown) down.add(said.press.id);
    else down.delete(said.press.id);
    heard(said.press, said.isDown);
  };
  const each = (act: (input: Source) => void) => {
    for (const input of access.inputs.values()) act(input);
  };
  const listen = () => each((input) => input.addEventListener('midimessage', hear));
  access.addEventListener('statechange', listen);
  listen();
  return () => {
    access.removeEventListener('statechange', listen);
    each((input) => input.removeEventListener('midimessage', hear));
  };
}
