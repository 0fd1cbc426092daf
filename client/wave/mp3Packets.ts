import { joined, type Packet, type Packets, type SoundFormat } from './packets';

/**
 * MPEG audio, layer III (ISO/IEC 11172-3, 13818-3), as a file of frames: each begins with eleven bits that are set. A frame is taken
 * where another stands right behind it, so that bytes that only look like a head are none.
 */

/** Kilobits a second by the index in the head: of version 1, and of versions 2 and 2.5. */
const BITRATES = [
  [0, 32, 40, 48, 56, 64, 80, 96, 112, 128, 160, 192, 224, 256, 320],
  [0, 8, 16, 24, 32, 40, 48, 56, 64, 80, 96, 112, 128, 144, 160],
] as const;
/** Samples a second by version (as its two bits say: 2.5, none, 2, 1) and index. */
const RATES: readonly (readonly number[])[] = [
  [11_025, 12_000, 8000],
  [],
  [22_050, 24_000, 16_000],
  [44_100, 48_000, 32_000],
];

interface Head {
  length: number;
  rate: number;
  channels: number;
  samples: number;
}

/** What the four bytes at a place say of a frame; null where they are no head of one. */
function headAt(bytes: Uint8Array, at: number): Head | null {
  const [b0, b1, b2, b3] = [bytes[at]!, bytes[at + 1]!, bytes[at + 2]!, bytes[at + 3]!];
  const version = (b1 >> 3) & 3;
  const rate = RATES[version]![(b2 >> 2) & 3];
  const bitrate = BITRATES[version === 3 ? 0 : 1][b2 >> 4];
  const isLayer3 = ((b1 >> 1) & 3) === 1;
  if (b0 !== 0xff || (b1 & 0xe0) !== 0xe0 || !isLayer3 || !rate || !bitrate) return null;
  const samples = version === 3 ? 1152 : 576;
  const length = Math.floor((samples * 125 * bitrate) / rate) + ((b2 >> 1) & 1);
  return { length, rate, channels: b3 >> 6 === 3 ? 1 : 2, samples };
}

const HEAD = 4;

/** Takes an mp3 apart into frames. What stands ahead of them and between them (tags, pictures) is passed over. */
export class Mp3Packets implements Packets {
  format: SoundFormat | null = null;
  private rest: Uint8Array = new Uint8Array();
  /** So many bytes that come are still of the tag ahead. */
  private toSkip: number | null = null;

  push(bytes: Uint8Array): Packet[] {
    const all = joined(this.rest, bytes);
    const packets: Packet[] = [];
    let at = this.behindTag(all);
    while (at + HEAD <= all.length) {
      const head = headAt(all, at);
      if (!head) {
        at += 1;
        continue;
      }
      const next = at + head.length;
      if (next + HEAD > all.length) break;
      if (!headAt(all, next)) {
        at += 1;
        continue;
      }
      this.format ??= { codec: 'mp3', sampleRate: head.rate, channels: head.channels };
      packets.push({ bytes: all.slice(at, next), duration: (head.samples * 1_000_000) / head.rate });
      at = next;
    }
    this.rest = all.slice(Math.min(at, all.length));
    return packets;
  }

  /** Where an ID3v2 tag at the very beginning ends; the end of the bytes while all are of it. */
  private behindTag(all: Uint8Array): number {
    if (this.toSkip === null) {
      if (all.length < 10) return all.length < HEAD ? 0 : all.length;
      const isTag = all[0] === 0x49 && all[1] === 0x44 && all[2] === 0x33;
      const size = [6, 7, 8, 9].reduce((sum, at) => sum * 128 + (all[at]! & 0x7f), 0);
      this.toSkip = isTag ? size + 10 : 0;
    }
    const here = Math.min(this.toSkip, all.length);
    this.toSkip -= here;
    return here;
  }
}
