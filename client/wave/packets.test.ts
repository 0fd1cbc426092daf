import fs from 'node:fs';
import path from 'node:path';
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Loudness } from './loudness';
import { Mp3Packets } from './mp3Packets';
import { OggPackets } from './oggPackets';
import type { Packets } from './packets';
import { WavPackets } from './wavPackets';

const OGG = new Uint8Array(
  fs.readFileSync(path.join(import.meta.dirname, '../../demo/lived/transcripts/dictated-round.ogg')),
);

/** Frames of silence at 64 kbit/s and 44.1 kHz: of version 1, one channel, every third padded. */
function mp3(frames: number): Uint8Array {
  const one = (padded: boolean) => {
    const frame = new Uint8Array(208 + (padded ? 1 : 0));
    frame.set([0xff, 0xfb, 0x50 | (padded ? 2 : 0), 0xc4]);
    // What looks like a head, and has no other behind it.
    frame.set([0xff, 0xfb, 0x90, 0x00], 60);
    return frame;
  };
  const picture = new Uint8Array(300).fill(0xff);
  const tag = new Uint8Array([0x49, 0x44, 0x33, 4, 0, 0, 0, 0, 2, 44, ...picture]);
  return new Uint8Array(
    Buffer.concat([tag, ...Array.from({ length: frames }, (_, at) => one(at % 3 === 0))]),
  );
}

/** A WAV of so many samples in 16 bits and two channels, with a chunk ahead of its data. */
function wav(samples: number): Uint8Array {
  const head = Buffer.alloc(60);
  head.write('RIFF', 0);
  head.write('WAVEfmt ', 8);
  head.writeUInt32LE(16, 16);
  head.writeUInt16LE(1, 20);
  head.writeUInt16LE(2, 22);
  head.writeUInt32LE(8000, 24);
  head.writeUInt16LE(16, 34);
  head.write('LIST', 36);
  head.writeUInt32LE(7, 40);
  head.write('data', 52);
  head.writeUInt32LE(samples * 4, 56);
  return new Uint8Array(Buffer.concat([head, Buffer.alloc(samples * 4, 7)]));
}

/** All that is taken of a file that comes in pieces of some sizes, over and over. */
function taken(packets: Packets, file: Uint8Array, sizes: readonly number[]) {
  const all = [];
  for (let [from, turn] = [0, 0]; from < file.length; turn += 1) {
    const size = sizes[turn % sizes.length]!;
    all.push(...packets.push(file.slice(from, from + size)));
    from += size;
  }
  return all;
}

const seconds = (all: readonly { duration: number }[]) =>
  all.reduce((sum, { duration }) => sum + duration, 0) / 1_000_000;

test('what a file holds is told by its container', () => {
  const ogg = new OggPackets();
  // As ffprobe has it: 117.886 s.
  expect(seconds(taken(ogg, OGG, [65_536]))).toBeCloseTo(117.9, 1);
  expect(ogg.format).toMatchObject({ codec: 'opus', sampleRate: 48_000, channels: 1 });
  const mp3s = new Mp3Packets();
  const frames = taken(mp3s, mp3(100), [4096]);
  // Behind the last there is no other: it might be cut off.
  expect(frames).toHaveLength(99);
  expect(frames[1]!.duration).toBeCloseTo(26_122, 0);
  expect(mp3s.format).toEqual({ codec: 'mp3', sampleRate: 44_100, channels: 1 });
  const wavs = new WavPackets();
  expect(taken(wavs, wav(20_000), [1000]).reduce((sum, { bytes }) => sum + bytes.length, 0)).toBe(
    2 * 8192 * 4,
  );
  expect(wavs.format).toEqual({ codec: 'pcm-s16', sampleRate: 8000, channels: 2 });
});

test.each([
  ['Ogg', () => new OggPackets(), OGG.slice(0, 20_000)],
  ['mp3', () => new Mp3Packets(), mp3(40)],
  ['WAV', () => new WavPackets(), wav(30_000)],
])('however the bytes of %s are cut, the packets are the same', (_, make, file) => {
  const asText = (sizes: readonly number[]) =>
    taken(make(), file, sizes).map(
      ({ bytes, duration }) => `${duration} ${Buffer.from(bytes).toString('base64')}`,
    );
  const whole = asText([file.length]);
  expect(whole.length).toBeGreaterThan(2);
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 1, max: 5000 }), { minLength: 1, maxLength: 5 }), (sizes) => {
      expect(asText([...sizes, 700])).toEqual(whole);
    }),
    { numRuns: 30 },
  );
});

test('what is no such file has no packets, whatever is in it', () => {
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 3000 }), (file) => {
      for (const make of [() => new OggPackets(), () => new WavPackets()]) {
        const packets = make();
        expect(taken(packets, file, [100]).length === 0 || packets.format !== null).toBe(true);
      }
    }),
  );
});

test('loudness is that of the loudest in each stretch, against the loudest of all', () => {
  const heard = new Loudness();
  // Stretches of 50 ms at 1000 samples a second.
  const stretch = (loud: number) =>
    Float32Array.from({ length: 50 }, (_, at) => (at === 7 ? -loud : loud / 10));
  for (const loud of [0.1, 0.5, 0.25, 0]) heard.hear(stretch(loud), 1000);
  expect(heard.columns(10)).toEqual([51, 255, 128, 0]);
  expect(heard.columns(2)).toEqual([255, 128]);
  expect(new Loudness().columns(10)).toEqual([]);
  const silent = new Loudness();
  silent.hear(stretch(0), 1000);
  expect(silent.columns(3)).toEqual([0]);
});
