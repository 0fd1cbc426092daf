import type { Editor } from '@tiptap/react';
import { switchedIn } from '#core/glossary';
import type { BankIndex } from '#core/bank';
import { useSavePreferences } from '../../offers';
import { Button } from '../../ui';
import type { OutsideCue } from './outsideCue';
import { giveKeys } from '../surface/whereKeysGo';

interface Props {
  editor: Editor;
  cue: OutsideCue;
  kind: string;
  index: BankIndex;
  /** Puts an entry in the place of a stretch of the text. */
  placeAt: (entry: string, from: number, to: number) => void;
}

/** Quietly: the cue just typed belongs to a collection that is not for this kind of work; and the two ways on. */
export function OutOfReach({ editor, cue, kind, index, placeAt }: Props) {
  const save = useSavePreferences();
  const entry = index.entries.get(cue.entry);
  const collection = entry && index.collections.get(entry.collection);
  if (!entry || !collection) return null;
  const switchIn = () => {
    save.mutate((before) => switchedIn(before, collection, kind));
    giveKeys(editor.view);
  };
  return (
    <section
      aria-label="Out of reach"
      role="status"
      className="mb-3 border-l-2 border-flower pl-3 text-[13.5px]"
    >
      <p>
        <span className="cue">{cue.typed}</span> brings “{entry.content.title}”, but {collection.name} is out
        of reach here.
      </p>
      <p className="flex flex-wrap gap-x-3">
        <Button look="text" onClick={() => placeAt(entry.id, cue.from, cue.to)}>
          Place it once
        </Button>
        <Button look="text" disabled={save.isPending} onClick={switchIn}>
          Switch {collection.name} in
        </Button>
      </p>
    </section>
  );
}
