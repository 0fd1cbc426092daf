/**
 * Makes the recordings of the demo: `node demo/lived/transcripts/makeSpeech.mjs`. Each turn of a recording's JSON is spoken by espeak-ng and all are put
 * together by ffmpeg (both from Debian) to Ogg/Opus; when each begins is written back into the JSON. Only for who changes what is said: the demo ships
 * what this has made, and neither of the two programs.
 */
import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';

/** Between two turns, in milliseconds. */
const PAUSE = 550;

const folder = import.meta.dirname;
const lengthOf = (file) =>
  Math.round(
    Number(
      execFileSync('ffprobe', ['-v', 'error', '-show_entries', 'format=duration', '-of', 'csv=p=0', file], {
        encoding: 'utf8',
      }),
    ) * 1000,
  );

for (const name of fs.readdirSync(folder).filter((file) => file.endsWith('.json'))) {
  const file = path.join(folder, name);
  const told = JSON.parse(fs.readFileSync(file, 'utf8'));
  const work = fs.mkdtempSync(path.join(os.tmpdir(), 'speech-'));
  let at = 300;
  const parts = told.turns.map((turn, index) => {
    const { voice, pitch, speed } = told.cast.find((one) => one.as === turn.speaker);
    const wav = path.join(work, `${index}.wav`);
    execFileSync('espeak-ng', ['-v', voice, '-p', `${pitch}`, '-s', `${speed}`, '-w', wav, turn.words]);
    turn.at = at;
    const delay = at;
    at += lengthOf(wav) + PAUSE;
    return { wav, delay };
  });
  const inputs = parts.flatMap(({ wav }) => ['-i', wav]);
  const delays = parts.map(({ delay }, index) => `[${index}]adelay=${delay}[d${index}]`);
  const mix = `${parts.map((_, index) => `[d${index}]`).join('')}amix=inputs=${parts.length}:normalize=0,apad=pad_dur=0.5`;
  execFileSync('ffmpeg', [
    ...['-y', '-v', 'error', ...inputs, '-filter_complex', `${delays.join(';')};${mix}`],
    ...['-ac', '1', '-c:a', 'libopus', '-b:a', '20k', '-application', 'voip', '-map_metadata', '-1'],
    file.replace(/\.json$/, '.ogg'),
  ]);
  told.length = at;
  fs.writeFileSync(file, `${JSON.stringify(told, null, 2)}\n`);
  fs.rmSync(work, { recursive: true });
}
