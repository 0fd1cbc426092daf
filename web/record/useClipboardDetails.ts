import { useState } from 'react';
import { detailsInText, type DetailsInText } from '#core/record';

/** What came of looking for details on the clipboard: nothing was asked yet, or a sentence of what came of it. */
export interface ClipboardTold {
  words: string | null;
  /** Lines that were not understood. */
  others: readonly string[];
}

const NOT_READ =
  'The browser does not let this page read the clipboard. Nothing was changed. Paste into the fields instead.';
const NONE = 'No details found on the clipboard. Each needs a line of its own, such as “Name: Bramble”.';

/**
 * Reads details from the clipboard when asked, and gives them to `take`, which says in a sentence what it made of them. What is
 * not understood is told, and nothing else of the clipboard is kept.
 */
export function useClipboardDetails(take: (found: DetailsInText['found']) => string | Promise<string>) {
  const [told, setTold] = useState<ClipboardTold>({ words: null, others: [] });
  const [isReading, setReading] = useState(false);
  const run = async () => {
    setReading(true);
    const text = await navigator.clipboard.readText().catch(() => null);
    const { found, others } = detailsInText(text ?? '');
    const words = text === null ? NOT_READ : found.size === 0 ? NONE : await take(found);
    setTold({ words, others: text !== null && found.size > 0 ? others : [] });
    setReading(false);
  };
  const say = (words: string) => setTold({ words, others: [] });
  return { told, isReading, run: () => void run(), say };
}
