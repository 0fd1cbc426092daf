import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { call } from '#client/api';

/** The letter whose link led here: its secret stands behind the # of the address, and is taken out of it at once. */
export function useLetter() {
  const [token] = useState(() => window.location.hash.slice(1));
  const letter = useQuery({
    queryKey: ['letter', token],
    queryFn: () => {
      // It would stay in the history of a shared computer.
      window.history.replaceState(window.history.state, '', window.location.pathname);
      return call('readLetter', { body: { token } });
    },
    retry: false,
    staleTime: Infinity,
  });
  return { token, letter };
}
