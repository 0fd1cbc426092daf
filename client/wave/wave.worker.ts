import { expose } from 'comlink';
import { Loudness } from './loudness';
import { Mp3Packets } from './mp3Packets';
import { OggPackets } from './oggPackets';
import type { Packets } from './packets';
import { WavPackets } from './wavPackets';

/** What is told of a wave line while it is worked out. */
export interface WaveSoFar {
  /** Of all that was read so far, from 0 to 255. */
  columns: number[];
  /** How much of the file was read, from 0 to 1; 1 once it is whole. */
  part: number;
}

/** So many columns a wave line has at the most. */
const MOST_COLUMNS = 1500;
/** So many packets wait for the decoder at the most, so that memory stays flat. */
const MOST_WAITING = 1024;
/** Told again after so many bytes. */
const TOLD_EVERY = 500_000;

/** What takes a file apart that begins so; null for a format that is not read here. */
function packetsOf(head: Uint8Array): Packets | null {
  const begins = String.fromCharCode(...head.subarray(0, 4));
  if (begins === 'RIFF') return new WavPackets();
  if (begins === 'OggS') return new OggPackets();
  return begins.startsWith('ID3') || head[0] === 0xff ? new Mp3Packets() : null;
}

/** Decodes what it is given and hears how loud it is. */
class Decoding {
  readonly loudness = new Loudness();
  private decoder: AudioDecoder | null = null;
  private at = 0;
  private failed: Error | null = null;

  async take(packets: Packets, bytes: Uint8Array): Promise<void> {
    for (const { bytes: data, duration } of packets.push(bytes)) {
      if (this.failed) throw this.failed;
      this.decoder ??= this.begun(packets);
      this.decoder.decode(new EncodedAudioChunk({ type: 'key', timestamp: this.at, duration, data }));
      this.at += duration;
      if (this.decoder.decodeQueueSize > MOST_WAITING) await this.someDecoded();
    }
  }

  /** Waits until half of what waits for the decoder is decoded: asked for each packet, waiting would take longer than decoding. */
  private async someDecoded(): Promise<void> {
    const decoder = this.decoder!;
    while (decoder.decodeQueueSize > MOST_WAITING / 2 && !this.failed)
      await new Promise((resolve) => decoder.addEventListener('dequeue', resolve, { once: true }));
  }

  async end(): Promise<void> {
    await this.decoder?.flush();
    this.decoder?.close();
    if (this.failed) throw this.failed;
  }

  private begun({ format }: Packets): AudioDecoder {
    const decoder = new AudioDecoder({
      output: (data) => {
        const samples = new Float32Array(data.numberOfFrames);
        data.copyTo(samples, { planeIndex: 0, format: 'f32-planar' });
        this.loudness.hear(samples, data.sampleRate);
        data.close();
      },
      error: (error) => {
        this.failed = error;
      },
    });
    const { codec, sampleRate, channels, description } = format!;
    decoder.configure({ codec, sampleRate, numberOfChannels: channels, ...(description && { description }) });
    return decoder;
  }
}

/** Works out the wave lines of recordings away from the thread that takes keys. */
export class WaveReader {
  /**
   * Reads a file piece by piece as it streams, and tells of its wave line as it grows. Resolves with null where this browser, or what is read
   * here (mp3, Opus in Ogg, WAV), has no wave line of it.
   */
  async read(address: string, tell: (soFar: WaveSoFar) => void): Promise<number[] | null> {
    if (!('AudioDecoder' in globalThis)) return null;
    const answer = await fetch(address);
    if (!answer.ok || !answer.body) return null;
    const size = Number(answer.headers.get('content-length') ?? 0);
    const decoding = new Decoding();
    let packets: Packets | null = null;
    let [read, told] = [0, 0];
    const reader = answer.body.getReader();
    try {
      for (let next = await reader.read(); !next.done; next = await reader.read()) {
        packets ??= packetsOf(next.value);
        if (!packets) {
          await reader.cancel();
          return null;
        }
        await decoding.take(packets, next.value);
        read += next.value.length;
        if (read - told < TOLD_EVERY) continue;
        told = read;
        tell({ columns: decoding.loudness.columns(MOST_COLUMNS), part: size > 0 ? read / size : 0 });
      }
      await decoding.end();
    } catch {
      // A file that is broken, or of a codec that is not here, plays as far as it does; it has no wave line.
      return null;
    }
    const columns = decoding.loudness.columns(MOST_COLUMNS);
    return columns.length > 0 ? columns : null;
  }
}

expose(new WaveReader());
