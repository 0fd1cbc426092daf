import fs from 'node:fs';

/** The processes that came of one, itself included. */
function processesOf(root: number): number[] {
  const parents = new Map<number, number>();
  for (const name of fs.readdirSync('/proc')) {
    if (!/^\d+$/.test(name)) continue;
    try {
      const stat = fs.readFileSync(`/proc/${name}/stat`, 'utf8');
      parents.set(Number(name), Number(stat.slice(stat.lastIndexOf(')') + 2).split(' ')[1]));
    } catch {
      // It ended meanwhile.
    }
  }
  const isOf = (id: number): boolean => id === root || (parents.has(id) && isOf(parents.get(id)!));
  return [...parents.keys()].filter(isOf);
}

/** What the processes of some name beneath one hold, in megabytes: memory that several share is counted to each by its part (`Pss`). */
export function memoryOf(root: number, name: string): number {
  let kilobytes = 0;
  for (const id of processesOf(root)) {
    try {
      if (!fs.readFileSync(`/proc/${id}/cmdline`, 'utf8').includes(name)) continue;
      const [, pss] = /^Pss:\s+(\d+)/m.exec(fs.readFileSync(`/proc/${id}/smaps_rollup`, 'utf8')) ?? [];
      kilobytes += Number(pss ?? 0);
    } catch {
      // It ended meanwhile.
    }
  }
  return kilobytes / 1024;
}
