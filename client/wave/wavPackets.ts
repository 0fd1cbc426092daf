import { joined, type Packet, type Packets, type SoundFormat } from './packets';

/** RIFF WAVE with whole numbers or floats in it (Microsoft, "Multiple Channel Audio Data and WAVE Files"): chunks; `fmt ` says what `data` is. */

const HEAD = 12;
/** The format code of numbers with a point, and of a format whose code stands further behind. */
const [FLOAT, EXTENSIBLE] = [3, 0xfffe];
/** So many frames of samples are a packet: a tenth of a second and more. */
const FRAMES = 8192;

const CODECS: Readonly<Record<string, string>> = {
  ...{ '1/8': 'pcm-u8', '1/16': 'pcm-s16', '1/24': 'pcm-s24', '1/32': 'pcm-s32', '3/32': 'pcm-f32' },
};

const nameAt = (bytes: Uint8Array, at: number) => String.fromCharCode(...bytes.subarray(at, at + 4));

/** Takes a WAV apart into packets of samples; one of a format that no decoder here reads has none. */
export class WavPackets implements Packets {
  format: SoundFormat | null = null;
  private rest: Uint8Array = new Uint8Array();
  private isBegun = false;
  private inData = false;
  /** Bytes of one sample of all channels. */
  private frame = 1;

  push(bytes: Uint8Array): Packet[] {
    let all = joined(this.rest, bytes);
    if (!this.isBegun && all.length >= HEAD) {
      all = all.slice(HEAD);
      this.isBegun = true;
    }
    while (this.isBegun && !this.inData && all.length >= 8) {
      const view = new DataView(all.buffer, all.byteOffset, all.length);
      const [name, size] = [nameAt(all, 0), view.getUint32(4, true)];
      if (name === 'data') {
        this.inData = true;
        all = all.slice(8);
        break;
      }
      const whole = 8 + size + (size % 2);
      if (all.length < whole) break;
      if (name === 'fmt ' && size >= 16) this.read(view);
      all = all.slice(whole);
    }
    const packets = this.inData ? this.samples(all) : [];
    this.rest = all.slice(packets.reduce((sum, { bytes: { length } }) => sum + length, 0));
    return packets;
  }

  private read(view: DataView): void {
    const own = view.getUint16(8, true);
    const code = own === EXTENSIBLE && view.byteLength >= 34 ? view.getUint16(32, true) : own;
    const [channels, sampleRate, bits] = [
      view.getUint16(10, true),
      view.getUint32(12, true),
      view.getUint16(22, true),
    ];
    const codec = CODECS[`${code === FLOAT ? FLOAT : code}/${bits}`];
    if (!codec || channels === 0 || sampleRate === 0) return;
    this.frame = channels * (bits / 8);
    this.format = { codec, channels, sampleRate };
  }

  private samples(all: Uint8Array): Packet[] {
    if (!this.format) return [];
    const packets: Packet[] = [];
    const most = FRAMES * this.frame;
    for (let at = 0; at + this.frame <= all.length; at += most) {
      const length = Math.min(most, all.length - at);
      const whole = length - (length % this.frame);
      if (whole < most && all.length - at < most) break;
      packets.push({
        bytes: all.slice(at, at + whole),
        duration: (FRAMES * 1_000_000) / this.format.sampleRate,
      });
    }
    return packets;
  }
}
