import { useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import type { FoundCase } from '#contracts';
import { call } from '#client/api';
import { KEYS } from '../api';
import { Failed, Loading } from '../ui';
import { CaseLink } from './CaseLink';

function FoundLine({ one }: { one: FoundCase }) {
  const { leaf } = one;
  return (
    <CaseLink one={one} to={leaf ? `/cases/${one.id}/leaves/${leaf.id}` : `/cases/${one.id}`}>
      <span className="col-span-full text-[14px] break-words text-soft">
        {leaf ? leaf.around : one.summary}
      </span>
    </CaseLink>
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
      <p role="status" className="eyebrow border-b border-hair px-9 pt-4 pb-1.5 max-[899px]:px-4">
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
