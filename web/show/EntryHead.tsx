import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Entry } from '#contracts';
import type { BankIndex } from '#core/bank';

interface Props {
  index: BankIndex;
  entry: Entry;
  /** What is said behind where it is kept. */
  children?: ReactNode;
}

/** An entry that something was found in: its title, which leads there, and where it is kept. */
export function EntryHead({ index, entry, children }: Props) {
  return (
    <p className="flex flex-wrap items-baseline gap-x-2">
      <Link to={`/bank/${entry.id}`} className="font-book text-[17px] break-words text-ink">
        {entry.content.title}
      </Link>
      <span className="text-[13px] text-soft">{index.collections.get(entry.collection)?.name}</span>
      {children}
    </p>
  );
}
