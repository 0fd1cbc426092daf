import type { ReactNode } from 'react';
import { Button } from '../ui';
import { LongWork } from './LongWork';
import type { Working } from './useLongWork';

interface Props<Result> {
  title: string;
  /** What it is for, in a line. */
  about: string;
  /** What the button that begins says. */
  look: string;
  /** What is done meanwhile, in words. */
  what: string;
  work: { working: Working<Result>; start: (body: undefined) => void; stop: () => void };
  /** What came of it, in a sentence. */
  said: (result: Result) => string;
  /** The lines of the list of what was found. */
  children: (result: Result) => ReactNode;
}

/** A part of the page of order that reads the whole bank or all drafts when it is asked to, and lists what it found. */
export function FoundSection<Result>({ title, about, look, what, work, said, children }: Props<Result>) {
  const { working, start, stop } = work;
  return (
    <section aria-label={title} className="border-t border-hair py-5">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 px-9 max-[899px]:px-4">
        <div className="grow">
          <h2 className="font-book text-[19px]">{title}</h2>
          <p className="text-[13.5px] text-soft">{about}</p>
        </div>
        <Button disabled={working.state === 'working'} onClick={() => start(undefined)}>
          {look}
        </Button>
      </div>
      <LongWork what={what} working={working} stop={stop}>
        {(result) => (
          <>
            <p role="status" className="px-9 py-2 text-[14px] text-soft max-[899px]:px-4">
              {said(result)}
            </p>
            <ul>{children(result)}</ul>
          </>
        )}
      </LongWork>
    </section>
  );
}
