import { useEffect, useState } from 'react';
import { isBeingSent, unsentCopy, type LocalCopy } from '#client/drafts';
import { openLeaves } from '#client/waiting';
import { isSame as isSameValue } from '#core/difference';
import type { DraftDocument } from '#core/draft';

interface Options {
  member: string;
  id: string;
  /** The text as the server has it; null for none, and where that is not known. */
  document: DraftDocument | null;
  /** Whether two such texts are the same. */
  isSame?: (a: DraftDocument, b: DraftDocument) => boolean;
}

/** What the server never got of a text, where that is another than it has. */
function unsentOf({ member, id, document, isSame = isSameValue }: Options): LocalCopy | null {
  const copy = unsentCopy(member, id);
  return copy && !(document && isSame(copy.document, document)) ? copy : null;
}

/**
 * What was written earlier of a text that is kept with something else than a draft, and the server never got; null for nothing,
 * also where another window writes on it and will send it. Undefined until that is known: a moment, and only where there is such a copy.
 */
export function useUnsentCopy(options: Options): LocalCopy | null | undefined {
  const { member, id } = options;
  const [copy] = useState(() => unsentOf(options));
  // Left in this window a moment ago it is nobody else's.
  const [isElsewhere, setElsewhere] = useState(copy && !isBeingSent(member, id) ? undefined : false);
  useEffect(() => {
    if (isElsewhere !== undefined) return;
    let isWanted = true;
    void openLeaves().then((open) => isWanted && setElsewhere(open.has(id)));
    return () => {
      isWanted = false;
    };
  }, [isElsewhere, id]);
  return isElsewhere === undefined ? undefined : isElsewhere ? null : copy;
}
