/** Files that were chosen where the browser gives no way back to them, by tray and line. */
const chosen = new Map<string, Map<string, File>>();

/**
 * The files that were chosen for a tray in this window, by line, to be added to: they are there for as long as the window is and the
 * same member is signed in, wherever that member goes meanwhile. Nothing of them is written anywhere.
 */
export function chosenFiles(of: string): Map<string, File> {
  const files = chosen.get(of) ?? new Map<string, File>();
  chosen.set(of, files);
  return files;
}

/** Somebody else is to use this window. */
export const forgetChosenFiles = (): void => chosen.clear();
