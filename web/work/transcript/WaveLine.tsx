import { useEffect, useMemo, useState } from 'react';
import { keptWave, readWave } from '#client/wave';

interface Wave {
  columns: readonly number[];
  /** How much of the recording was read, from 0 to 1. */
  part: number;
}

/** The wave line of a recording: as this computer knows it, else as it is worked out; null where it has none. */
export function useWave(file: string, address: string): Wave | null {
  const known = useMemo(() => keptWave(file), [file]);
  const [read, setRead] = useState<{ file: string; wave: Wave | null } | null>(null);
  useEffect(() => {
    if (known) return;
    return readWave(file, address, (wave) => setRead({ file, wave }));
  }, [known, file, address]);
  if (known) return { columns: known, part: 1 };
  return read?.file === file ? read.wave : null;
}

const HEIGHT = 255;

/** The outline of columns, mirrored on the middle line, as a path of SVG. */
function outline(columns: readonly number[]): string {
  const up = columns.map((loud, at) => `${at},${(HEIGHT - Math.max(loud, 4)) / 2}`);
  const down = columns.map((loud, at) => `${at},${(HEIGHT + Math.max(loud, 4)) / 2}`).reverse();
  return `M${[...up, ...down].join('L')}Z`;
}

interface Props extends Wave {
  /** How much of the recording lies before the place one is at, from 0 to 1. */
  heard: number;
}

/** How loud a recording is all along; what lies before the place one is at, in the strong colour. */
export function WaveLine({ columns, part, heard }: Props) {
  const path = useMemo(() => outline(columns), [columns]);
  // While it is read it takes as much of the line as there is of it.
  const all = Math.max(1, columns.length - 1) / Math.max(part, 0.01);
  return (
    <svg className="wave-line" viewBox={`0 0 ${all} ${HEIGHT}`} preserveAspectRatio="none" aria-hidden>
      <path d={path} fill="currentColor" />
      <svg data-heard width={all * heard} height={HEIGHT} viewBox={`0 0 ${all * heard || 1} ${HEIGHT}`}>
        <path d={path} fill="currentColor" />
      </svg>
    </svg>
  );
}
