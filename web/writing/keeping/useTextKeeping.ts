import { useEffect, useMemo, useState } from 'react';
import type { Draft } from '#contracts';
import { DraftKeeper, type Keeping, type LocalCopy } from '#client/drafts';
import { closeLeaf, openLeaf } from '#client/waiting';
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

interface Options {
  member: string;
  text: KeptText;
  document: DraftDocument;
  /** What the server never got of it: it was written on that version, and takes the place of the document. */
  copy: LocalCopy | null;
  /** Where it is written, and what it is called: "letter". */
  on: NonNullable<LocalCopy['on']>;
  /** Saves it where it belongs, on the version given, or over whatever is there for null; gives the version it then has. */
  save: (document: DraftDocument, version: number | null) => Promise<number>;
  /** The text in what the server says that it is kept with. */
  textIn: (current: KeptText) => DraftDocument;
}

/** Keeps a text that is written on as drafts are kept: on this computer within a moment, and sent until it is saved. */
export function useTextKeeping(opened: Options): { keeper: DraftKeeper; keeping: Keeping } {
  const [keeping, setKeeping] = useState<Keeping>(() => ({ kind: 'saved', at: new Date().toISOString() }));
  // What it was opened with: what is shown of it meanwhile comes from here.
  const [{ member, text, document, copy, on, save, textIn }] = useState(opened);
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
          textIn,
          on,
          savedElsewhere: () => undefined,
        },
        asDraft(text, document),
        copy ?? undefined,
      ),
    [member, text, document, copy, on, save, textIn],
  );
  useEffect(() => {
    const keepHere = () => keeper.copyNow();
    keeper.open();
    // Other windows leave alone what is kept here of a text that is written on.
    void openLeaf(text.id);
    window.addEventListener('pagehide', keepHere);
    window.document.addEventListener('visibilitychange', keepHere);
    return () => {
      window.removeEventListener('pagehide', keepHere);
      window.document.removeEventListener('visibilitychange', keepHere);
      keeper.leave();
      closeLeaf(text.id);
    };
  }, [keeper, text]);
  return { keeper, keeping };
}
