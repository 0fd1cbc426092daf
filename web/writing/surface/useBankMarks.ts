import { useCallback, useState } from 'react';

const STORED = 'elderleaf.bank-marks';

/** Whether what came from the bank is marked on leaves: remembered on this computer. */
export function useBankMarks() {
  const [areShown, show] = useState(() => localStorage.getItem(STORED) !== 'hidden');
  const toggle = useCallback(() => {
    localStorage.setItem(STORED, areShown ? 'hidden' : 'shown');
    show(!areShown);
  }, [areShown]);
  return { areShown, toggle };
}
