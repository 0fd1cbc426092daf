import { proxy } from 'comlink';
import { z } from 'zod';
import { keep, kept } from '#client/kept';
import { runningWorker } from '#client/workers';
import type { WaveReader, WaveSoFar } from './wave.worker';

const Columns = z.array(z.number().int().min(0).max(255)).max(1500);
const nameOf = (file: string) => `recording.wave.${file}`;

/** The wave line of a file that was worked out on this computer before; null where none was. */
export const keptWave = (file: string): number[] | null => kept(nameOf(file), Columns);

/**
 * Works a wave line out, once: it is kept on this computer. Gives what stops it.
 *
 * @param address - Where the file is, whole.
 * @param tell - Hears of it as it grows, at last whole; of a file that has none here with null.
 */
export function readWave(file: string, address: string, tell: (soFar: WaveSoFar | null) => void): () => void {
  const worker = new Worker(new URL('./wave.worker.ts', import.meta.url), { type: 'module' });
  const running = runningWorker<WaveReader>(worker);
  void running.remote.read(new URL(address, location.href).href, proxy(tell)).then(
    (columns) => {
      running.end();
      if (columns) keep(nameOf(file), columns);
      tell(columns && { columns, part: 1 });
    },
    () => undefined,
  );
  return running.end;
}
