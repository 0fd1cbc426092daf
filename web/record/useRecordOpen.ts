import { useCallback, useState } from 'react';

const STORED = 'elderleaf.record-open';
/** The keys that open the record at the head of a leaf, and fold it. */
export const RECORD_KEY = 'Alt + C';

/** Whether the record is open at the head of a leaf: remembered on this computer. */
export function useRecordOpen() {
  const [isOpen, setOpen] = useState(() => localStorage.getItem(STORED) === 'yes');
  const toggle = useCallback(() => {
    localStorage.setItem(STORED, isOpen ? 'no' : 'yes');
    setOpen(!isOpen);
  }, [isOpen]);
  return { isOpen, toggle };
}
