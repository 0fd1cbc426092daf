import { useState } from 'react';

/** How the sheet looks: how dense, and what stands beside title and wording. */
export interface SheetLook {
  dense: boolean;
  wording: boolean;
  purpose: boolean;
  tags: boolean;
  times: boolean;
  saved: boolean;
}

const AT_FIRST: SheetLook = {
  dense: false,
  wording: true,
  purpose: true,
  tags: true,
  times: false,
  saved: false,
};
const KEY = 'elderleaf.sheet';

function read(): SheetLook {
  try {
    return { ...AT_FIRST, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<SheetLook>) };
  } catch {
    return AT_FIRST;
  }
}

/** The look of the sheet, as it was left on this computer. */
export function useSheetLook() {
  const [look, setLook] = useState(read);
  const change = (part: Partial<SheetLook>) => {
    const next = { ...look, ...part };
    setLook(next);
    try {
      localStorage.setItem(KEY, JSON.stringify(next));
    } catch {
      // No room on this computer: it looks so until the page is left.
    }
  };
  return { look, change };
}
