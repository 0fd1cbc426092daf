import { useEffect, useMemo, useState } from 'react';
import type { Draft } from '#contracts';
import { DraftKeeper, readCopy, type Keeping } from '#client/drafts';
import type { DraftDocument } from '#core/draft';

/** A text that is kept with something else than a draft, such as the row of a table: what it is known by, and its version. */
export interface KeptText {
  id: string;
  version: number;
}

/** Such a text as what keeps drafts knows texts. */
export const asDraft = ({ id, version }: KeptText, document: DraftDocument): Draft => ({
  ...{ id, version, document, case: '', author: '', title: '', begunAt: '', savedAt: '' },
  ...{ state: 'open', excerpt: '' },
});

/** What this computer kept of such a text that the server never got; null for nothing. */
export const keptCopy = (member: string, id: string): DraftDocument | null =>
  readCopy(member, id)?.document ?? null;

interface Options {
  member: string;
  text: KeptText;
  document: DraftDocument;
  /** Saves it where it belongs, on the version given, or over whatever is there for null; gives the version it then has. */
  save: (document: DraftDocument, version: number | null) => Promise<number>;
}

/** Keeps a text that is written on as drafts are kept: on this computer within a moment, and sent until it is saved. */
export function useTextKeeping(opened: Options): { keeper: DraftKeeper; keeping: Keeping } {
  const [keeping, setKeeping] = useState<Keeping>({ kind: 'saved', at: new Date().toISOString() });
  // What it was opened with: what is shown of it meanwhile comes from here.
  const [{ member, text, document, save }] = useState(opened);
  const keeper = useMemo(
    () =>
      new DraftKeeper(
        {
          member,
          save: async (id, now, version, over) => {
            const saved = await save(now, over ? null : version);
            return { ...asDraft({ id, version: saved }, now), savedAt: new Date().toISOString() };
          },
          setAside: () => Promise.resolve(),
          tell: setKeeping,
          savedElsewhere: () => undefined,
        },
        asDraft(text, document),
      ),
    [member, text, document, save],
  );
  useEffect(() => {
    const keepHere = () => keeper.copyNow();
    keeper.open();
    window.addEventListener('pagehide', keepHere);
    window.document.addEventListener('visibilitychange', keepHere);
    return () => {
      window.removeEventListener('pagehide', keepHere);
      window.document.removeEventListener('visibilitychange', keepHere);
      keeper.leave();
    };
  }, [keeper]);
  return { keeper, keeping };
}
