import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Case } from '#contracts';
import { FilesOfCase } from '../../files';
import { AboutCase } from '../../record';
import { Button } from '../../ui';

/** The parts of a tray, in the order they are worked through. */
export const VIEWS = ['names', 'how', 'out'] as const;
export type View = (typeof VIEWS)[number];

const CALLED: Record<View, string> = { names: 'Files', how: 'How they are named', out: 'Rename' };

/** What stands above each part of a tray: its name, and the way to the other parts. */
export function TrayHead({ one, view, children }: { one: Case; view: View; children?: ReactNode }) {
  const [about, setAbout] = useState(false);
  return (
    <>
      <header className="flex flex-wrap items-baseline gap-x-4 px-9 pt-5 pb-2 max-[899px]:px-4">
        <h1 className="min-w-0 font-book text-[26px] leading-tight break-words">{one.title}</h1>
        {one.closed && <span className="text-[13px] text-rust">closed</span>}
        <span className="ml-auto flex items-baseline gap-4" data-print="no">
          <Button
            look="text"
            className="text-[13px]"
            aria-expanded={about}
            onClick={() => setAbout((now) => !now)}
          >
            About this tray
          </Button>
          {children}
        </span>
      </header>
      <div
        className="flex flex-wrap items-baseline gap-x-5 gap-y-1 border-b border-hair px-9 pb-2 text-[14px] max-[899px]:px-4"
        data-print="no"
      >
        <nav aria-label="Parts of the tray" className="flex flex-wrap gap-x-5 gap-y-1">
          {VIEWS.map((each) => (
            <Link
              key={each}
              to={`?show=${each}`}
              replace
              aria-current={each === view ? 'page' : undefined}
              className={`min-h-6 ${each === view ? 'font-semibold text-elder' : 'text-soft underline hover:text-elder'}`}
            >
              {CALLED[each]}
            </Link>
          ))}
        </nav>
      </div>
      {about && (
        <>
          <AboutCase key={`${one.title} ${one.number}`} one={one} />
          <div className="px-9 pb-2 text-[14px] max-[899px]:px-4">
            <FilesOfCase one={one} giveKeys={() => document.getElementById('leaf')?.focus()} />
          </div>
        </>
      )}
    </>
  );
}
