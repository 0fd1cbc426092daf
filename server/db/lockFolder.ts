import fs from 'node:fs';
import path from 'node:path';

/** A second process asked for a data folder that is in use. */
export class FolderInUse extends Error {
  constructor(folder: string, pid: number) {
    super(
      `The data folder ${folder} is in use by another Elderleaf (process ${pid}). ` +
        'Two at once would spoil it. Stop the other one first, or set ELDERLEAF_DATA to another folder.',
    );
  }
}

interface Holder {
  pid: number;
  started: string;
}

/**
 * When a process was started, in the kernel's own clock ticks, so that a process number given out anew after
 * a crash is not taken for the old holder. '' where the system does not tell (then the number alone decides).
 */
function startOf(pid: number): string {
  try {
    const stat = fs.readFileSync(`/proc/${pid}/stat`, 'utf8');
    // The second column is the command in brackets and may hold spaces: count from after it. Column 22 is wanted.
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? '';
  } catch {
    return '';
  }
}

function isAlive({ pid, started }: Holder): boolean {
  try {
    process.kill(pid, 0);
  } catch (error) {
    // EPERM: it is there, but another user's.
    if ((error as NodeJS.ErrnoException).code !== 'EPERM') return false;
  }
  return started === '' || startOf(pid) === started;
}

function readHolder(file: string): Holder | null {
  try {
    const holder = JSON.parse(fs.readFileSync(file, 'utf8')) as Holder;
    return Number.isInteger(holder.pid) ? holder : null;
  } catch {
    return null;
  }
}

const sleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * Takes a data folder for this process, made if need be, and returns the function that gives it back. PGlite
 * itself does not notice a second process. The lock is a file linked into place whole, so that two starting
 * at once cannot both have it; one left behind by a kill is seen to be stale and replaced.
 * Throws FolderInUse when a living process holds it.
 */
export async function lockFolder(folder: string): Promise<() => void> {
  fs.mkdirSync(folder, { recursive: true });
  const file = path.join(folder, 'in-use.json');
  const mine = path.join(folder, `in-use.${process.pid}.json`);
  const me: Holder = { pid: process.pid, started: startOf(process.pid) };
  fs.writeFileSync(mine, JSON.stringify(me));
  try {
    for (let tries = 0; ; tries += 1) {
      try {
        fs.linkSync(mine, file);
        return () => fs.rmSync(file, { force: true });
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code !== 'EEXIST' || tries > 20) throw error;
      }
      const holder = readHolder(file);
      if (holder && isAlive(holder)) throw new FolderInUse(folder, holder.pid);
      // Move the stale lock aside; only one of two can, the other finds it gone and tries again.
      const aside = path.join(folder, `in-use.stale.${process.pid}.json`);
      try {
        fs.renameSync(file, aside);
        fs.rmSync(aside, { force: true });
      } catch {
        await sleep(20);
      }
    }
  } finally {
    fs.rmSync(mine, { force: true });
  }
}
