import { joined, type Packet, type Packets, type SoundFormat } from './packets';

/** Ogg (RFC 3533) with Opus in it (RFC 7845): pages of segments; a packet goes on in the next while its last segment is full. */

const PAGE_HEAD = 27;
/** Opus is always heard at so many samples a second. */
const RATE = 48_000;

const isText = (bytes: Uint8Array, at: number, text: string) =>
  [...text].every((letter, index) => bytes[at + index] === letter.charCodeAt(0));

/** How long an Opus packet sounds by its first byte and, where that says so, its second (RFC 6716, 3.1), in microseconds. */
function durationOf(packet: Uint8Array): number {
  const toc = packet[0] ?? 0;
  const config = toc >> 3;
  const frame =
    config < 12
      ? [10_000, 20_000, 40_000, 60_000][config & 3]!
      : config < 16
        ? [10_000, 20_000][config & 1]!
        : [2500, 5000, 10_000, 20_000][config & 3]!;
  const code = toc & 3;
  return frame * (code === 0 ? 1 : code === 3 ? (packet[1] ?? 0) & 0x3f : 2);
}

/** Takes an Ogg file apart into packets of Opus; one with something else in it has no format and no packets. */
export class OggPackets implements Packets {
  format: SoundFormat | null = null;
  private rest: Uint8Array = new Uint8Array();
  /** A packet that goes on in the next page. */
  private begun: Uint8Array = new Uint8Array();

  push(bytes: Uint8Array): Packet[] {
    const all = joined(this.rest, bytes);
    const packets: Packet[] = [];
    let at = 0;
    while (at + PAGE_HEAD <= all.length) {
      if (!isText(all, at, 'OggS')) {
        at += 1;
        continue;
      }
      const segments = all[at + 26]!;
      const sizes = all.subarray(at + PAGE_HEAD, at + PAGE_HEAD + segments);
      const body = at + PAGE_HEAD + segments;
      const end = body + sizes.reduce((sum, size) => sum + size, 0);
      if (sizes.length < segments || end > all.length) break;
      packets.push(...this.packetsOf(sizes, all.subarray(body, end)));
      at = end;
    }
    this.rest = all.slice(at);
    return packets;
  }

  private packetsOf(sizes: Uint8Array, body: Uint8Array): Packet[] {
    const packets: Packet[] = [];
    let from = 0;
    for (const size of sizes) {
      this.begun = joined(this.begun, body.slice(from, from + size));
      from += size;
      if (size === 255) continue;
      const whole = this.taken(this.begun);
      if (whole) packets.push(whole);
      this.begun = new Uint8Array();
    }
    return packets;
  }

  /** A whole packet; null for what says how it is to be read, and for what is not Opus. */
  private taken(packet: Uint8Array): Packet | null {
    if (isText(packet, 0, 'OpusHead')) {
      this.format = { codec: 'opus', sampleRate: RATE, channels: packet[9] ?? 1, description: packet };
      return null;
    }
    if (!this.format || packet.length === 0 || isText(packet, 0, 'OpusTags')) return null;
    return { bytes: packet, duration: durationOf(packet) };
  }
}
