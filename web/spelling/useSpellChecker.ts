import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { areRight, SpellChecker, type Dictionary } from '#client/spelling';
import { useGlossaries, usePreferences } from '../api';
import { useGlossaryLists } from '../offers';

const NONE: readonly string[] = [];

/** Knows of words whether a dictionary, a glossary, the member or `right` has them; null where spelling is not checked. */
export function useSpellChecker(
  dictionary: Dictionary | null,
  right: readonly string[] = NONE,
): SpellChecker | null {
  const preferences = usePreferences().data;
  const isWanted = preferences?.spelling?.isOff !== true;
  const own = preferences?.spelling?.right ?? NONE;
  const checker = useMemo(
    () => (dictionary && isWanted ? new SpellChecker((words) => areRight(dictionary, words)) : null),
    [dictionary, isWanted],
  );
  useEffect(() => checker?.begin(), [checker]);
  useEffect(() => checker?.setRight([...own, ...right]), [checker, own, right]);
  const loaded = useGlossaryLists(useGlossaries().data);
  useEffect(() => checker?.again(), [checker, loaded]);
  useEffect(() => {
    const again = () => checker?.failed && checker.again();
    window.addEventListener('online', again);
    return () => window.removeEventListener('online', again);
  }, [checker]);
  return checker;
}

const nothing = () => () => undefined;

/** How often more became known of words: what is shown of them is looked at again. */
export const useKnown = (checker: SpellChecker | null): number =>
  useSyncExternalStore(checker?.onKnown ?? nothing, () => checker?.timesTold ?? 0);
