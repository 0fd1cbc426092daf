import type { Editor } from '@tiptap/react';
import type { Entry } from '#contracts';
import { excerpt, plainText } from '#core/passage';
import { renewPlacement } from '../editor/placing';
import { placementRange } from '../editor/blanks';
import { placementsOf } from '../editor/placements';
import { Button, Notice } from '../ui';
import type { PlacingNeeds } from './usePlacing';

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
  editor: Editor;
  newer: ReturnType<typeof newerWordings>;
  needs: PlacingNeeds;
  keep: (key: string) => void;
}

/** Says that shared wording on this leaf has changed since it was placed, and offers the new one. */
export function NewerWording({ editor, newer, needs, keep }: Props) {
  return newer.map(({ id, placement, entry }) => (
    <Notice key={id} title={`“${entry.content.title}” has a newer wording.`}>
      <p className="mt-1">
        {entry.reason && <>Why: {entry.reason}. </>}
        It now reads: “{excerpt(entry.content.wordings[0]!.parts[0]!.passage, EXCERPT)}”
      </p>
      {plainText(entry.content.wordings[0]!.parts[0]!.passage).length > EXCERPT && (
        <a className="text-elder underline" href={`/bank/${entry.id}`}>
          Read it whole
        </a>
      )}
      <p className="mt-1.5 flex flex-wrap gap-2">
        <Button
          onClick={() => {
            editor.view.dispatch(
              renewPlacement(editor.state, id, { ...needs, entry, wording: placement.wording }),
            );
            editor.commands.focus();
          }}
        >
          Take it over
        </Button>
        <Button onClick={() => keep(`${id} ${entry.revision}`)}>Keep this one</Button>
      </p>
    </Notice>
  ));
}
