import type { Editor } from '@tiptap/react';
import type { Dispatch, SetStateAction } from 'react';
import type { Case, Entry } from '#contracts';
import { keysOfEntry } from '#core/bank';
import { placementsOf } from '../editor';
import { CaptureSlip, giveKeys, type KeptSlip, type usePlacing } from '../writing';

interface Props {
  one: Case;
  editor: Editor;
  placing: Pick<ReturnType<typeof usePlacing>, 'index' | 'caseToday'>;
  selected: KeptSlip | null;
  setSelected: Dispatch<SetStateAction<KeptSlip | null>>;
  say: (words: string | null) => void;
  /** Whether names stay in what is saved unless they are ticked: where what is written is who sent something. */
  namesStay?: true;
}

/** The slip for selected words, in the collection that is nearest to the work in hand. */
export function CaptureSelected({ one, editor, placing, selected, setSelected, say, namesStay }: Props) {
  const { index, caseToday } = placing;
  if (!selected || !index) return null;
  const close = (kept: Entry | null) => {
    setSelected(null);
    const keys = kept && keysOfEntry(kept, index.collections.get(kept.collection));
    say(kept && `Saved: “${kept.content.title}”${keys ? `. Type ${keys} to place it` : ''}.`);
    giveKeys(editor.view);
  };
  const keepable = index.bank.collections.filter(({ right }) => right === 'keep');
  const home =
    keepable.find(({ kindsOfWork }) => kindsOfWork.includes(one.kind)) ?? keepable.find(({ own }) => own);
  return (
    <CaptureSlip
      words={selected.words}
      placements={placementsOf(editor.state.doc)}
      needs={caseToday}
      index={index}
      home={home?.id ?? ''}
      namesStay={namesStay}
      fields={selected.fields}
      put={(change) => setSelected((now) => now && { ...now, fields: { ...now.fields, ...change } })}
      close={close}
    />
  );
}
