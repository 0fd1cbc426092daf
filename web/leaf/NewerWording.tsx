import type { Editor } from '@tiptap/react';
import type { Entry } from '#contracts';
import { excerpt, plainText } from '#core/passage';
import { mainPassage } from '../bank/entryFields';
import { placementRange } from '../editor/blanks';
import { placementsOf } from '../editor/placements';
import { Button, Notice } from '../ui';

const EXCERPT = 220;

/** Placements of this draft whose entry has been changed since. */
export function newerWordings(
  editor: Editor,
  entries: ReadonlyMap<string, Entry>,
  kept: ReadonlySet<string>,
) {
  return Object.entries(placementsOf(editor.state.doc)).flatMap(([id, placement]) => {
    const entry = entries.get(placement.entry);
    if (!entry || entry.revision <= placement.revision || kept.has(`${id} ${entry.revision}`)) return [];
    return placementRange(editor.state.doc, id) ? [{ id, placement, entry }] : [];
  });
}

interface Props {
  newer: ReturnType<typeof newerWordings>;
  renew: (placement: string, wording: string) => void;
  keep: (key: string) => void;
}

/** Says that shared wording on this leaf has changed since it was placed, and offers the new one. */
export function NewerWording({ newer, renew, keep }: Props) {
  return newer.map(({ id, placement, entry }) => (
    <Notice key={id} title={`“${entry.content.title}” has a newer wording.`}>
      <p className="mt-1">
        {entry.reason && <>Why: {entry.reason}. </>}
        It now reads: “{excerpt(mainPassage(entry.content, placement.wording), EXCERPT)}”
      </p>
      {plainText(mainPassage(entry.content, placement.wording)).length > EXCERPT && (
        <a className="text-elder underline" href={`/bank/${entry.id}`}>
          Read it whole
        </a>
      )}
      <p className="mt-1">
        Your answers are kept. Words that you changed inside it give way to the new ones; undo brings them
        back.
      </p>
      <p className="mt-1.5 flex flex-wrap gap-2">
        <Button onClick={() => renew(id, placement.wording)}>Take it over</Button>
        <Button onClick={() => keep(`${id} ${entry.revision}`)}>Keep this one</Button>
      </p>
    </Notice>
  ));
}
