/** A piece of coded sound that a decoder takes at once. */
export interface Packet {
  bytes: Uint8Array;
  /** How long it sounds, in microseconds, where its container says so; a decoder needs times that run forwards, not these. */
  duration: number;
}

/** How a decoder is to be told what comes: the codec by its WebCodecs name, channels, samples a second. */
export interface SoundFormat {
  codec: string;
  sampleRate: number;
  channels: number;
  /** What the codec says of itself ahead of all packets; left out where it says nothing. */
  description?: Uint8Array;
}

/** Takes a file apart as its bytes come in, however they are cut. */
export interface Packets {
  /** Null until enough is read to know. */
  readonly format: SoundFormat | null;
  /** The packets that are whole with these bytes. */
  push: (bytes: Uint8Array) => Packet[];
}

/** Bytes that were not used yet, and those that came. */
export function joined(rest: Uint8Array, bytes: Uint8Array): Uint8Array {
  if (rest.length === 0) return bytes;
  const all = new Uint8Array(rest.length + bytes.length);
  all.set(rest);
  all.set(bytes, rest.length);
  return all;
}
