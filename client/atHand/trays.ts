import { inLine } from './answers';
import type { TrayHere } from './store';

/** Remembers where the files of a tray are on this computer, until somebody else uses it. Nothing of the files is kept. */
export const keepTrayHere = (tray: TrayHere): Promise<void> =>
  inLine(async (store) => {
    await store.put('trays', tray);
  });

/** Where the files of a tray were on this computer; undefined where nobody said, or the browser does not keep it. */
export const trayHere = (of: string): Promise<TrayHere | undefined> =>
  inLine((store) => store.get('trays', of));
