import { useState } from 'react';

const STORED = 'elderleaf.offer-columns';

/** Whether offers stand in one column or two: remembered on this computer. */
export function useOfferColumns() {
  const [areTwo, setTwo] = useState(() => localStorage.getItem(STORED) === '2');
  const toggle = () => {
    localStorage.setItem(STORED, areTwo ? '1' : '2');
    setTwo(!areTwo);
  };
  return { areTwo, toggle };
}
