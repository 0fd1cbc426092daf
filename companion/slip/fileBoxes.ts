import { labelOf } from './labelOf';

/** A box of a page for files, and what it is called. */
export interface FileBox {
  input: HTMLInputElement;
  label: string;
}

/** Whether a box says that it takes a file, by its ending or media type (HTML, the `accept` attribute). */
export function takes(input: HTMLInputElement, { name, type }: Pick<File, 'name' | 'type'>): boolean {
  const accepted = input.accept
    .split(',')
    .map((one) => one.trim().toLowerCase())
    .filter((one) => one !== '');
  if (accepted.length === 0) return true;
  return accepted.some((one) =>
    one.startsWith('.')
      ? name.toLowerCase().endsWith(one)
      : one.endsWith('/*')
        ? type.startsWith(one.slice(0, -1))
        : type === one,
  );
}

/** The box for a file: the first of the pages that takes it and has room. Many pages hide theirs behind a button of their own. Null for none. */
export function fileBoxFor(pages: readonly Document[], file: Pick<File, 'name' | 'type'>): FileBox | null {
  const inputs = pages.flatMap((page) => [...page.querySelectorAll<HTMLInputElement>('input[type=file]')]);
  const input = inputs.find(
    (one) => !one.disabled && takes(one, file) && (one.multiple || (one.files?.length ?? 0) === 0),
  );
  return input ? { input, label: labelOf(input) || 'the box for files' } : null;
}

/** Puts a file into a box beside those that are in it, and tells the page as if its person had chosen it. False where the box did not take it. */
export function putFile(input: HTMLInputElement, file: File): boolean {
  const all = new DataTransfer();
  for (const one of [...(input.files ?? []), file]) all.items.add(one);
  input.files = all.files;
  const isIn = [...(input.files ?? [])].some(({ name, size }) => name === file.name && size === file.size);
  for (const name of ['input', 'change'])
    input.dispatchEvent(new Event(name, { bubbles: true, composed: true }));
  return isIn;
}
