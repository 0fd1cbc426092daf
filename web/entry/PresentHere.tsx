import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { call } from '#client/api';
import { KEYS } from '../api';

const SAY_AGAIN_MS = 20_000;

/** Who else has an entry open, told while it is so. */
export function PresentHere({ entry }: { entry: string }) {
  const [page] = useState(() => crypto.randomUUID());
  const { data: others = [] } = useQuery({
    queryKey: KEYS.present(entry),
    queryFn: () => call('present', { params: { entry }, body: { page } }),
    refetchInterval: SAY_AGAIN_MS,
    staleTime: 0,
    gcTime: 0,
  });
  useEffect(() => {
    const leave = () => void call('gone', { params: { page }, keepalive: true }).catch(() => undefined);
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, [page]);
  return (
    <p role="status" className="text-[14px] text-soft empty:hidden">
      {others.length > 0 &&
        `${others.join(', ')} ${others.length === 1 ? 'has' : 'have'} this entry open too.`}
    </p>
  );
}
