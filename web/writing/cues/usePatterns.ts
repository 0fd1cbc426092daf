import { useEffect, useState } from 'react';
import type { Closer } from '#core/cue';
import type { PatternMatch } from '#core/pattern';
import type { Reach } from '#core/bank';

type Find = (line: string, closer: Closer) => PatternMatch | null;

const findNothing: Find = () => null;

/** What looks for the patterns in reach. What reads them is large, and fetched only where there are any. */
export function usePatterns(reach: Reach | null): Find {
  const [find, setFind] = useState<Find>(() => findNothing);
  const patterns = reach?.patterns;
  useEffect(() => {
    let isWanted = true;
    void (async () => {
      if (!patterns || patterns.length === 0) return setFind(() => findNothing);
      const { compilePatterns, findPattern } = await import('#core/pattern');
      if (!isWanted) return;
      const compiled = compilePatterns(patterns);
      setFind(() => (line: string, closer: Closer) => {
        const closed = compiled.filter(({ cue }) => cue.rules.closers.includes(closer));
        return closed.length > 0 ? findPattern(closed, line) : null;
      });
    })();
    return () => {
      isWanted = false;
    };
  }, [patterns]);
  return find;
}
