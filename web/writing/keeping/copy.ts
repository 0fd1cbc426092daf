import { asPlain, toHtml } from '#core/exchange';
import { fileOf } from '#client/files';
import type { Passage } from '#core/passage';

/** Puts a passage on the clipboard: with its formatting and as plain text, so that each box takes what it can. */
export async function copyRich(passage: Passage): Promise<void> {
  const item = new ClipboardItem({
    'text/html': fileOf('html', toHtml(passage)),
    'text/plain': fileOf('text', asPlain(passage)),
  });
  await navigator.clipboard.write([item]);
}

/** Puts a passage on the clipboard as plain text alone. */
export async function copyPlain(passage: Passage): Promise<void> {
  await navigator.clipboard.writeText(asPlain(passage));
}
