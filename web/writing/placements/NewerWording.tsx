import { useEditorState, type Editor } from '@tiptap/react';
import type { Entry } from '#contracts';
import type { Placement } from '#core/draft';
import { excerpt } from '#core/passage';
import { queryClient, revisionQuery, useRevision } from '../../api';
import { entryIn, type BankIndex } from '#core/bank';
import { DifferenceView } from '../../show';
import { mainPassage } from '#core/entry';
import { placementRange, placementsOf, keptAgainst, type Before } from '../../editor';
import { giveKeys } from '../surface/whereKeysGo';
import { Button, Notice } from '../../ui';

const EXCERPT = 220;

interface Props {
  editor: Editor;
  index: BankIndex;
  renew: (placement: string, wording: string, before: Before) => void;
}

/** Says that shared wording on this leaf has changed since it was placed, and offers the new one. */
export function NewerWording({ editor, index, renew }: Props) {
  const newer = useEditorState({
    editor,
    selector: ({ editor: { state } }) =>
      Object.entries(placementsOf(state.doc)).flatMap(([id, placement]) => {
        const entry = entryIn(index, placement.entry);
        // Of an entry that became another, the other is newer whatever its revision.
        const seen = Math.max(placement.revision, placement.keptAgainst ?? 0);
        const isNow = entry?.id === placement.entry && entry.revision <= seen;
        const isKept = entry?.id !== placement.entry && entry?.revision === placement.keptAgainst;
        if (!entry || isNow || isKept || !placementRange(state.doc, id)) return [];
        return [{ id, wording: placement.wording, placed: placement, entry }];
      }),
  });
  const takeAll = async () => {
    for (const { id, wording, placed } of newer) {
      const before = await queryClient
        .fetchQuery(revisionQuery(placed.entry, placed.revision))
        .catch(() => null);
      renew(id, wording, before?.content ?? null);
    }
  };
  return (
    <>
      {newer.length > 1 && (
        <p className="mb-3">
          <Button onClick={() => void takeAll()}>Use the new wording in all {newer.length} places</Button>
        </p>
      )}
      {newer.map((one) => (
        <Newer
          key={one.id}
          {...one}
          renew={renew}
          keep={() => {
            editor.view.dispatch(keptAgainst(editor.state, one.id, one.entry.revision));
            giveKeys(editor.view);
          }}
        />
      ))}
    </>
  );
}

interface NewerProps extends Pick<Props, 'renew'> {
  id: string;
  /** The wording that was placed, and of which entry and revision it is. */
  wording: string;
  placed: Pick<Placement, 'entry' | 'revision' | 'title'>;
  entry: Entry;
  keep: () => void;
}

function Newer({ id, wording, placed, entry, renew, keep }: NewerProps) {
  const before = useRevision(placed.entry, placed.revision);
  const { title } = entry.content;
  const isMerged = placed.entry !== entry.id;
  return (
    <Notice title={isMerged ? `“${placed.title}” has become “${title}”.` : `“${title}” has a newer wording.`}>
      {entry.reason && <p className="mt-1">Why: {entry.reason}</p>}
      <div className="my-2 border-l border-hair pl-3 text-ink">
        {before.data ? (
          <DifferenceView before={before.data.content} after={entry.content} />
        ) : (
          <p>It now reads: “{excerpt(mainPassage(entry.content, wording), EXCERPT)}”</p>
        )}
      </div>
      <p className="mt-1">
        Your answers and what you changed by hand are kept; where both changed the same words, yours stand.
      </p>
      <p className="mt-1.5 flex flex-wrap gap-2">
        <Button disabled={before.isPending} onClick={() => renew(id, wording, before.data?.content ?? null)}>
          Use the new wording
        </Button>
        <Button onClick={keep}>Keep the old one</Button>
      </p>
    </Notice>
  );
}
