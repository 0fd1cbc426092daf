import { useMutation } from '@tanstack/react-query';
import { useRef } from 'react';
import { isProblem } from '#client/api';
import { mergedSettings } from '#core/difference';
import { askOnItsWayAgain, queryClient } from './queries';

/** How something is set up, as it is at a version; null as long as nobody said. */
interface There<Setup> {
  setup: Setup | null;
  version: number;
}

/** A change of a setup, and what it was made to. */
interface Change<Setup> extends There<Setup> {
  to: Setup;
}

interface Calls<Setup> {
  read: () => Promise<There<Setup>>;
  send: (setup: Setup, version: number) => Promise<{ version: number }>;
}

/** A change made one with what stands there now. Null where both changed the same. */
const onto = <Setup extends object>({ to, setup }: Change<Setup>, there: There<Setup>): Setup | null =>
  setup && there.setup ? mergedSettings(to, setup, there.setup) : to;

/**
 * Keeps how something is set up, seen at once. What a colleague changed meanwhile is made one with it; where both changed the same, theirs stands
 * and one is told.
 *
 * @param key under which it is shown, with its setup and version.
 */
export function useMergedSetup<Setup extends object>(key: readonly string[], { read, send }: Calls<Setup>) {
  /** What the last change of this page made of it: the next one may have been made before that was answered. */
  const kept = useRef<There<Setup> | null>(null);
  const sent = async (setup: Setup, version: number): Promise<There<Setup>> => {
    const now = await send(setup, version);
    return (kept.current = { setup, version: now.version });
  };
  const show = (change: Partial<There<Setup>>) =>
    queryClient.setQueryData<There<Setup>>(key, (there) => there && { ...there, ...change });
  const mutationKey = ['setup', ...key];
  const { mutate, error, isPending } = useMutation({
    mutationKey,
    mutationFn: async (change: Change<Setup>): Promise<There<Setup>> => {
      const { current } = kept;
      const there = current && current.version > change.version ? current : change;
      try {
        return await sent(onto(change, there) ?? change.to, there.version);
      } catch (refused) {
        if (!isProblem(refused, 'moved-on')) throw refused;
        const now = await read();
        const merged = onto(change, now);
        if (merged === null) throw refused;
        return sent(merged, now.version);
      }
    },
    scope: { id: `setup ${key.join(' ')}` },
    onMutate: ({ to }) => void show({ setup: to }),
    onSuccess: (now) => {
      // What was on its way from before the change may have come meanwhile, or come yet. A later change of this page holds already.
      show(queryClient.isMutating({ mutationKey }) === 1 ? now : { version: now.version });
      askOnItsWayAgain(key);
    },
    onError: (_error, { setup }) => {
      show({ setup });
      void queryClient.invalidateQueries({ queryKey: key });
    },
  });
  const keep = (to: Setup) => {
    const there = queryClient.getQueryData<There<Setup>>(key);
    mutate({ to, setup: there?.setup ?? null, version: there?.version ?? 0 });
  };
  return { keep, error, isKeeping: isPending };
}
