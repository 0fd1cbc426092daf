import { useState } from 'react';
import { Button } from '../ui';

interface Props {
  names: readonly string[];
  /** What can be done with them: what it is called, and what does it. */
  ways: readonly { label: string; run: () => Promise<void> }[];
  leave: () => void;
}

/** Documents that can be written on, or be the beginning of other work: it is asked which. */
export function WhatToDo({ names, ways, leave }: Props) {
  const [isRunning, setRunning] = useState(false);
  return (
    <section
      aria-label="What to do with them"
      className="grid min-w-0 gap-3 border-l-2 border-leaf py-1 pl-3 text-[14px]"
    >
      <ul>
        {names.map((name, at) => (
          <li key={at} className="truncate">
            {name}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-3">
        {ways.map(({ label, run }, at) => (
          <Button
            key={label}
            autoFocus={at === 0}
            disabled={isRunning}
            onClick={() => {
              setRunning(true);
              // Others may be left, of which it is asked again.
              void run().finally(() => setRunning(false));
            }}
          >
            {label}
          </Button>
        ))}
        <Button look="text" disabled={isRunning} onClick={leave}>
          Cancel
        </Button>
      </div>
    </section>
  );
}
