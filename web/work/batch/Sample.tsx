import { useState } from 'react';
import { Button, Notice } from '../../ui';
import type { Letter } from './letterMaker';

const USUAL_SAMPLE = 10;
const MOST_SAMPLED = 1000;

interface Props {
  letters: readonly Letter[];
  /** The rows of the sample; null for none. */
  sample: readonly string[] | null;
  ask: (count: number) => void;
  letGo: (rest: readonly Letter[]) => void;
}

/** Asks for a sample of so many letters. */
function AskSample({ ask }: Pick<Props, 'ask'>) {
  const [count, setCount] = useState(String(USUAL_SAMPLE));
  const wanted = Math.max(1, Math.min(MOST_SAMPLED, Math.round(Number(count)) || USUAL_SAMPLE));
  return (
    <p className="flex flex-wrap items-baseline gap-2 text-[13.5px]">
      <Button look="text" onClick={() => ask(wanted)}>
        Check a sample
      </Button>
      of
      <input
        type="number"
        min={1}
        max={MOST_SAMPLED}
        aria-label="Letters in the sample"
        value={count}
        onChange={({ target }) => setCount(target.value)}
        className="live-word w-16"
      />
    </p>
  );
}

/** Checking a sample: once all of it is checked, the rest can be let go, which is said plainly. */
export function Sample({ letters, sample, ask, letGo }: Props) {
  const open = letters.filter(({ state }) => state === 'to-check');
  if (sample === null) return open.length <= 1 ? null : <AskSample ask={ask} />;
  const left = open.filter(({ row }) => sample.includes(row.id));
  const rest = open.filter(({ row, gaps }) => !sample.includes(row.id) && gaps.length === 0);
  if (left.length > 0)
    return (
      <p className="text-[13.5px] text-soft">
        {left.length.toLocaleString()} of the sample of {sample.length.toLocaleString()} still to check.
      </p>
    );
  return (
    <Notice title="The sample is checked.">
      {rest.length > 0 && (
        <>
          <p>
            {rest.length === 1
              ? 'One other letter was not looked at.'
              : `${rest.length.toLocaleString()} other letters were not looked at.`}
          </p>
          <Button className="mt-1" onClick={() => letGo(rest)}>
            Let {rest.length === 1 ? 'it' : `these ${rest.length.toLocaleString()}`} go unread
          </Button>
        </>
      )}
    </Notice>
  );
}
