import { useState } from 'react';
import type { TrayLine } from '#contracts';
import { ForPeople, inWords } from '#client/api';
import { isPermitted } from '../here/fileSystem';
import { renameHere, type RenamedHere } from '../here/renameHere';
import type { FilesHere, TrayFiles } from '../here/trayFiles';
import { changeLines } from '../useTray';

/** How far a renaming has come, and what could not be renamed. */
export interface RenamingState {
  isBusy: boolean;
  done: number;
  of: number;
  left: readonly RenamedHere[];
  failed: string | null;
}

const REST: RenamingState = { isBusy: false, done: 0, of: 0, left: [], failed: null };

/** Gives files their new names in the folder that was opened, or their old ones back. */
export function useRenaming(of: string, files: TrayFiles, here: FilesHere) {
  const [state, setState] = useState(REST);
  const run = async (lines: readonly TrayLine[], isBack: boolean) => {
    setState({ ...REST, isBusy: true, of: lines.length });
    try {
      if (!here.folder || !(await isPermitted(here.folder, 'readwrite', true)))
        return setState({ ...REST, failed: 'The browser may not change the folder. Nothing was renamed.' });
      const byFolder = new Map<FileSystemDirectoryHandle, TrayLine[]>();
      for (const line of lines) {
        const within = files.within(line);
        if (within) byFolder.set(within, [...(byFolder.get(within) ?? []), line]);
      }
      const left: RenamedHere[] = [];
      for (const [folder, within] of byFolder) {
        const wanted = within.map(({ name, newName }) =>
          isBack ? { from: newName!, to: name } : { from: name, to: newName! },
        );
        const became = await renameHere(folder, wanted, () =>
          setState((now) => ({ ...now, done: Math.min(now.of, now.done + 1) })),
        );
        const done = within.filter((_, at) => became[at]!.problem === null);
        left.push(...became.filter(({ problem }) => problem !== null));
        const told = done.map(({ id }) => ({ line: id, renamed: isBack ? null : ('here' as const) }));
        await changeLines(of, told).catch((error: unknown) => {
          throw new ForPeople(
            `The files have their ${isBack ? 'old' : 'new'} names, but that could not be saved. ${inWords(error)} It is saved once this tray is opened again.`,
          );
        });
      }
      await files.look();
      setState({ ...REST, left });
    } catch (error) {
      await files.look().catch(() => 0);
      setState({ ...REST, failed: inWords(error) });
    }
  };
  return {
    ...state,
    rename: (lines: readonly TrayLine[]) => void run(lines, false),
    giveBack: (lines: readonly TrayLine[]) => void run(lines, true),
  };
}
