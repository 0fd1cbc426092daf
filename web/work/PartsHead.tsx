import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Case } from '#contracts';
import { FilesOfCase } from '../files';
import { AboutButton, AboutCase } from '../record';

interface Props<View extends string> {
  one: Case;
  /** What such a case is called: "tray". */
  called: string;
  /** Its parts and what they are called, in the order they are worked through. */
  parts: Readonly<Record<View, string>>;
  view: View;
  /** Where its files are listed: beside the parts, or with what is said about it. */
  filesAt: 'parts' | 'about';
  /** What stands beside the title. */
  children?: ReactNode;
}

/** What stands above each part of a case that is worked through in parts: its name, and the way to the other parts. */
export function PartsHead<View extends string>(props: Props<View>) {
  const { one, called, parts, view, filesAt, children } = props;
  const [about, setAbout] = useState(false);
  const files = <FilesOfCase one={one} giveKeys={() => document.getElementById('leaf')?.focus()} />;
  return (
    <>
      <header className="flex flex-wrap items-baseline gap-x-4 px-9 pt-5 pb-2 max-[899px]:px-4">
        <h1 className="min-w-0 font-book text-[26px] leading-tight break-words">{one.title}</h1>
        {one.closed && <span className="text-[13px] text-rust">closed</span>}
        <span className="ml-auto flex items-baseline gap-4" data-print="no">
          <AboutButton called={called} isOpen={about} toggle={() => setAbout((now) => !now)} />
          {children}
        </span>
      </header>
      <div
        className="flex flex-wrap items-baseline gap-x-5 gap-y-1 border-b border-hair px-9 pb-2 text-[14px] max-[899px]:px-4"
        data-print="no"
      >
        <nav aria-label={`Parts of the ${called}`} className="flex flex-wrap gap-x-5 gap-y-1">
          {Object.entries<string>(parts).map(([part, name]) => (
            <Link
              key={part}
              to={`?show=${part}`}
              replace
              aria-current={part === view ? 'page' : undefined}
              className={`min-h-6 ${part === view ? 'font-semibold text-elder' : 'text-soft underline hover:text-elder'}`}
            >
              {name}
            </Link>
          ))}
        </nav>
        {filesAt === 'parts' && files}
      </div>
      {about && (
        <>
          <AboutCase key={`${one.title} ${one.number}`} one={one} />
          {filesAt === 'about' && <div className="px-9 pb-2 text-[14px] max-[899px]:px-4">{files}</div>}
        </>
      )}
    </>
  );
}
