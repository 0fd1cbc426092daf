import type { CDPSession } from '@playwright/test';

/** What the browser's profiler gives (DevTools protocol, `Profiler.Profile`), as far as it is read here; times in microseconds. */
interface Profile {
  nodes: { id: number; callFrame: { url: string }; children?: number[] }[];
  startTime: number;
  samples: number[];
  timeDeltas: number[];
}

/** What runs closer together than this belongs to one key, in microseconds. */
const APART = 25_000;

/** The nodes of a profile that are in a script of an extension, or called from one. */
function inExtension({ nodes }: Profile): Set<number> {
  const byId = new Map(nodes.map((node) => [node.id, node]));
  const found = new Set<number>();
  const mark = (id: number) => {
    if (found.has(id)) return;
    found.add(id);
    byId.get(id)?.children?.forEach(mark);
  };
  for (const { id, callFrame } of nodes) if (callFrame.url.startsWith('chrome-extension:')) mark(id);
  return found;
}

/** The time that an extension ran, in microseconds, by the moments that it ran in. */
function bursts(profile: Profile): number[] {
  const counted = inExtension(profile);
  const found: number[] = [];
  let now = profile.startTime;
  let last = -Infinity;
  profile.samples.forEach((id, at) => {
    const took = profile.timeDeltas[at]!;
    now += took;
    if (!counted.has(id)) return;
    if (now - last > APART) found.push(0);
    found[found.length - 1]! += took;
    last = now;
  });
  return found;
}

/**
 * How long an extension's scripts ran in a page for each of so many keys, in milliseconds, by samples of the profiler. `press` presses
 * them all, further apart than what one sets off takes. A key in which no sample met the extension took none.
 */
export async function extensionTime(
  session: CDPSession,
  keys: number,
  press: () => Promise<void>,
): Promise<number[]> {
  await session.send('Profiler.enable');
  await session.send('Profiler.setSamplingInterval', { interval: 50 });
  await session.send('Profiler.start');
  await press();
  const { profile } = (await session.send('Profiler.stop')) as unknown as { profile: Profile };
  const times = bursts(profile).map((microseconds) => microseconds / 1000);
  return [...times, ...Array.from({ length: Math.max(0, keys - times.length) }, () => 0)];
}
