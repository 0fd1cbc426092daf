import { useEditorState, type Editor } from '@tiptap/react';
import { useState } from 'react';
import type { Entry } from '#contracts';
import { excerpt, plainText } from '#core/passage';
import { mainPassage } from '../bank/entryFields';
import { placementRange } from '../editor/blanks';
import { placementsOf } from '../editor/placements';
import { Button, Notice } from '../ui';

const EXCERPT = 220;

interface Props {
  editor: Editor;
  entries: ReadonlyMap<string, Entry>;
  renew: (placement: string, wording: string) => void;
}

/** Says that shared wording on this leaf has changed since it was placed, and offers the new one. */
export function NewerWording({ editor, entries, renew }: Props) {
  const [kept, setKept] = useState<ReadonlySet<string>>(new Set());
  const newer = useEditorState({
    editor,
    selector: ({ editor: { state } }) =>
      Object.entries(placementsOf(state.doc)).flatMap(([id, placement]) => {
        const entry = entries.get(placement.entry);
        const key = `${id} ${entry?.revision}`;
        if (!entry || entry.revision <= placement.revision || kept.has(key)) return [];
        return placementRange(state.doc, id) ? [{ id, key, wording: placement.wording, entry }] : [];
      }),
  });
  return newer.map(({ id, key, wording, entry }) => {
    const passage = mainPassage(entry.content, wording);
    return (
      <Notice key={id} title={`“${entry.content.title}” has a newer wording.`}>
        <p className="mt-1">
          {entry.reason && <>Why: {entry.reason}. </>}
          It now reads: “{excerpt(passage, EXCERPT)}”
        </p>
        {plainText(passage).length > EXCERPT && (
          <a className="text-elder underline" href={`/bank/${entry.id}`}>
            Read it whole
          </a>
        )}
        <p className="mt-1">
          Your answers are kept. Words that you changed inside it give way to the new ones; undo brings them
          back.
        </p>
        <p className="mt-1.5 flex flex-wrap gap-2">
          <Button onClick={() => renew(id, wording)}>Take it over</Button>
          <Button onClick={() => setKept(new Set([...kept, key]))}>Keep this one</Button>
        </p>
      </Notice>
    );
  });
}
