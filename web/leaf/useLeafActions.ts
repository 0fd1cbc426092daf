import { useEffect, useRef } from 'react';
import { useLiveKeys, useShell, type Action, type Placer } from '../shell';

/** What can be done on this leaf now: live by its key, and listed in the finder with what it can place. */
export function useLeafActions(actions: Action[], place: Placer | null, lineTop: () => number | null): void {
  const { setScreen } = useShell();
  useLiveKeys(actions.flatMap(({ key, label, run }) => (key ? [{ key, does: label, run }] : [])));
  const latest = useRef({ actions, place, lineTop });
  useEffect(() => {
    latest.current = { actions, place, lineTop };
  });
  const shape = JSON.stringify(actions.map(({ label, key }) => ({ label, key })));
  const canPlace = place !== null;
  useEffect(() => {
    // Told once for what there is to do, not at each key typed: each runs what is latest when it is run.
    const listed = (JSON.parse(shape) as Omit<Action, 'run'>[]).map((action) => ({
      ...action,
      run: () => latest.current.actions.find(({ label }) => label === action.label)?.run(),
    }));
    setScreen({
      place: canPlace ? (id) => latest.current.place?.(id) : null,
      actions: listed,
      lineTop: () => latest.current.lineTop(),
    });
    return () => setScreen({ place: null, actions: [] });
  }, [shape, canPlace, setScreen]);
}
