import type { ReactNode } from 'react';
import type { Compared } from '#contracts';
import { Tick } from '../ui';

type Titles = Compared['collections'][number]['gone'];

/** What became of some things, with their titles to unfold. */
function Become({ of: { count, titles }, words }: { of: Titles; words: string }) {
  if (count === 0) return null;
  return (
    <details className="text-[13.5px]">
      <summary className="min-h-6 cursor-pointer text-soft">
        {count.toLocaleString()} {words}
      </summary>
      <ul className="pb-1 pl-4">
        {titles.map((title, at) => (
          <li key={at} className="break-words">
            {title}
          </li>
        ))}
        {count > titles.length && <li className="text-soft">and {count - titles.length} more</li>}
      </ul>
    </details>
  );
}

function Part({
  name,
  on,
  toggle,
  children,
}: {
  name: ReactNode;
  on: boolean;
  toggle: () => void;
  children: ReactNode;
}) {
  return (
    <li className="border-b border-hair px-9 py-2.5 max-[899px]:px-4">
      <Tick on={on} toggle={toggle}>
        <span className="min-w-0 font-book text-[17px] break-words">{name}</span>
      </Tick>
      <div className="pl-6">{children}</div>
    </li>
  );
}

const STATE_WORDS = { here: null, deleted: 'in the wastebasket today', gone: 'deleted for good since' };

/** A collection that is other today, to be ticked. */
export function CollectionPart({
  collection: { name, state, gone, changed, since },
  on,
  toggle,
  children,
}: {
  collection: Compared['collections'][number];
  on: boolean;
  toggle: () => void;
  children: ReactNode;
}) {
  return (
    <Part
      name={
        <>
          {name}{' '}
          {STATE_WORDS[state] && (
            <span className="font-face text-[13.5px] text-soft">{STATE_WORDS[state]}</span>
          )}
        </>
      }
      on={on}
      toggle={toggle}
    >
      <Become of={gone} words={gone.count === 1 ? 'entry is missing today' : 'entries are missing today'} />
      <Become of={changed} words={changed.count === 1 ? 'entry changed since' : 'entries changed since'} />
      <Become of={since} words={since.count === 1 ? 'entry added since' : 'entries added since'} />
      {children}
    </Part>
  );
}

/** A case of which something of one’s own is other today, to be ticked. */
export function CasePart({
  of: { title, gone, changed, files },
  on,
  toggle,
}: {
  of: Compared['cases'][number];
  on: boolean;
  toggle: () => void;
}) {
  return (
    <Part name={title} on={on} toggle={toggle}>
      <Become of={gone} words={gone.count === 1 ? 'text is missing today' : 'texts are missing today'} />
      <Become of={changed} words={changed.count === 1 ? 'text changed since' : 'texts changed since'} />
      <Become of={files} words={files.count === 1 ? 'file is missing today' : 'files are missing today'} />
    </Part>
  );
}
