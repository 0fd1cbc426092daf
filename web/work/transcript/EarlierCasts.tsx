import { useQuery } from '@tanstack/react-query';
import type { Speaker } from '#core/transcript';
import { call } from '#client/api';
import { instantInWords } from '#client/clock';
import { KEYS } from '../../api';
import { Button, Failed } from '../../ui';

/** Who spoke in earlier recordings: taken as they were written there. */
export function EarlierCasts({ take }: { take: (speakers: readonly Speaker[]) => void }) {
  const found = useQuery({ queryKey: KEYS.earlierCasts, queryFn: () => call('earlierCasts'), staleTime: 0 });
  if (found.isError)
    return <Failed what="earlier casts" error={found.error} retry={() => void found.refetch()} />;
  if (!found.data?.length) return null;
  return (
    <div className="mt-3">
      <h3 className="eyebrow">Or take an earlier cast</h3>
      <ul className="grid text-[14px]">
        {found.data.map(({ title, savedAt, cast }) => (
          <li key={title + savedAt}>
            <Button look="text" className="text-left whitespace-normal" onClick={() => take(cast)}>
              {cast.map(({ name }) => name).join(', ')}
            </Button>
            <p className="text-[12px] text-soft">
              {title}, {instantInWords(savedAt)}
            </p>
          </li>
        ))}
      </ul>
    </div>
  );
}
