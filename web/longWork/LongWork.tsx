import type { ReactNode } from 'react';
import { inWords } from '#client/api';
import { instantInWords } from '#client/clock';
import { Button, Notice } from '../ui';
import type { Working } from './useLongWork';

interface Props<Result> {
  what: string;
  working: Working<Result>;
  stop: () => void;
  children: (result: Result) => ReactNode;
}

/** What a long work is at: how far, with a stop; what went wrong; what came of it, be it while one was away. */
export function LongWork<Result>({ what, working, stop, children }: Props<Result>) {
  if (working.state === 'working')
    return (
      <div className="flex items-center gap-3 px-9 py-3 max-[899px]:px-4">
        <progress
          aria-label={what}
          value={working.progress}
          className="h-1 grow appearance-none [&::-webkit-progress-bar]:bg-hair [&::-webkit-progress-value]:bg-leaf"
        />
        <Button onClick={stop}>Stop</Button>
      </div>
    );
  if (working.state === 'failed')
    return (
      <div className="px-9 py-3 max-[899px]:px-4">
        <Notice tone="warning" title="The check did not finish.">
          <p>{inWords(working.error)} Nothing was changed; try again.</p>
        </Notice>
      </div>
    );
  if (working.state !== 'done') return null;
  return (
    <>
      {working.foundAt && (
        <p className="px-9 pt-3 text-[13px] text-soft max-[899px]:px-4">
          As of {instantInWords(working.foundAt)}: it was finished after you left this page.
        </p>
      )}
      {children(working.result)}
    </>
  );
}
