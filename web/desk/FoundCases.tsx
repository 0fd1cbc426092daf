import { useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import { Link } from 'react-router';
import type { FoundCase } from '#contracts';
import { KINDS } from '#core/work';
import { call } from '../api/client';
import { KEYS } from '../api/queries';
import { Failed, Loading } from '../ui';

function FoundLine({ one }: { one: FoundCase }) {
  const { leaf } = one;
  return (
    <li className="border-b border-hair last:border-0">
      <Link
        to={leaf ? `/cases/${one.id}/leaves/${leaf.id}` : `/cases/${one.id}`}
        className="group grid grid-cols-[1fr_auto] gap-x-6 px-7 py-3 max-[899px]:px-4"
      >
        <span className="min-w-0 font-book text-[18px] leading-snug break-words group-hover:text-elder">
          {one.title}
        </span>
        <span className="text-right text-[13px] text-soft">
          {KINDS[one.kind].caseName}
          {one.number && ` ${one.number}`}
          {one.closed && ', closed'}
        </span>
        <span className="col-span-full text-[14px] break-words text-soft">
          {leaf ? leaf.around : one.summary}
        </span>
      </Link>
    </li>
  );
}

/** The cases that have the words asked for, closed ones too; the leaf that has them is a step away. */
export function FoundCases({ words }: { words: string }) {
  const asked = useDeferredValue(words.trim());
  const found = useQuery({
    queryKey: [...KEYS.cases, 'found', asked],
    queryFn: () => call('findCases', { body: { words: asked } }),
    placeholderData: (before) => before,
  });
  if (found.isPending) return <Loading what="your cases" />;
  if (found.isError)
    return <Failed what="your cases" error={found.error} retry={() => void found.refetch()} />;
  const count = found.data.length;
  return (
    <section aria-label="Found" className="pb-3">
      <p role="status" className="eyebrow border-b border-hair px-7 pt-4 pb-1.5 max-[899px]:px-4">
        {count === 0
          ? 'Nothing of yours has these words'
          : count === 1
            ? 'One case'
            : `${count} cases${count === 50 ? ' or more; another word finds fewer' : ''}`}
      </p>
      <ul>
        {found.data.map((one) => (
          <FoundLine key={one.id} one={one} />
        ))}
      </ul>
    </section>
  );
}
