import { alikeKey } from './nameFaults';

/** A file that is to have another name, in one folder. */
export interface Renaming {
  from: string;
  to: string;
}

/**
 * The single renamings, in an order in which no name is taken when it is given: one that another file still has waits for that one, and
 * files that change names among themselves go by a name that nobody has. All are of one folder. `isTaken`: other names there. Throws an
 * Error where two would have one name in the end, or one from outside the list has it.
 */
export function renameSteps(
  wanted: readonly Renaming[],
  isTaken: (name: string) => boolean = () => false,
): Renaming[] {
  const moving = wanted.filter(({ from, to }) => from !== to);
  const ends = new Set<string>();
  const starts = new Set(moving.map(({ from }) => alikeKey(from)));
  for (const { to } of moving) {
    const key = alikeKey(to);
    if (ends.has(key) || (!starts.has(key) && isTaken(to)))
      throw new Error(`two files would be called ${to}`);
    ends.add(key);
  }
  const steps: Renaming[] = [];
  const waiting = new Map(moving.map((one) => [alikeKey(one.from), one]));
  const free = (name: string, own: string) => {
    const holder = waiting.get(alikeKey(name));
    return !holder || holder.from === own;
  };
  const aside = (name: string): string => {
    for (let count = 1; ; count += 1) {
      const one = `${name}.${count}.tmp`;
      if (!isTaken(one) && !starts.has(alikeKey(one)) && !ends.has(alikeKey(one))) return one;
    }
  };
  while (waiting.size > 0) {
    let moved = false;
    for (const [key, one] of [...waiting]) {
      if (!free(one.to, one.from)) continue;
      steps.push(one);
      waiting.delete(key);
      moved = true;
    }
    if (moved) continue;
    // Only rings are left: one of each steps aside, and goes on from there.
    const [key, one] = [...waiting][0]!;
    const held = aside(one.from);
    steps.push({ from: one.from, to: held });
    waiting.delete(key);
    waiting.set(alikeKey(held), { from: held, to: one.to });
  }
  return steps;
}
