import { X } from 'lucide-react';
import { useRef } from 'react';
import type { Collection } from '#contracts';
import type { Cue } from '#core/cue';
import { ClosingKeys, CueRulesOf } from './CueRulesFields';
import { CueFault, CueText } from './CueText';
import { Button, useFocusNext } from '../ui';

interface Props {
  cues: readonly Cue[];
  collection: Collection | undefined;
  editable: boolean;
  /** Proposes a free cue for the entry's title. */
  propose: () => string;
  change: (cues: Cue[]) => void;
}

/** An entry's cues, each with what brings it. */
export function CuesEditor({ cues, collection, editable, propose, change }: Props) {
  const set = (index: number, cue: Cue) => change(cues.map((one, at) => (at === index ? cue : one)));
  const all = useRef<HTMLFieldSetElement>(null);
  const focusNext = useFocusNext();
  const add = () => {
    change([...cues, { text: propose() }]);
    // What is proposed is selected: typing puts another in its place.
    focusNext(() => {
      const line = all.current?.querySelectorAll('[role=group]')[cues.length]?.querySelector('input');
      line?.select();
      return line;
    });
  };
  const remove = (index: number) => {
    change(cues.filter((_, at) => at !== index));
    focusNext(() => all.current?.querySelector<HTMLElement>(':scope > button'));
  };
  return (
    <fieldset ref={all} disabled={!editable}>
      {cues.map((cue, index) => (
        <div
          key={index}
          role="group"
          aria-label={`Cue ${cue.text}`}
          className="grid grid-cols-[6.5rem_1fr_1fr_1fr_auto] items-end gap-4 border-b border-hair py-1.5 max-[899px]:grid-cols-1"
        >
          <CueText cue={cue} leadIn={collection?.leadIn ?? ''} change={(next) => set(index, next)} />
          <CueRulesOf cue={cue} collection={collection} change={(next) => set(index, next)} />
          <button
            type="button"
            aria-label={`Remove cue ${cue.text}`}
            className="rounded-[3px] p-1 text-soft hover:text-elder"
            onClick={() => remove(index)}
          >
            <X size={15} aria-hidden />
          </button>
          {cue.as !== 'keys' && (
            <ClosingKeys cue={cue} collection={collection} change={(next) => set(index, next)} />
          )}
          <CueFault cue={cue} />
        </div>
      ))}
      {editable && (
        <Button className="mt-2 text-[14px]" onClick={add}>
          Add a cue
        </Button>
      )}
      {!editable && cues.length === 0 && (
        <p className="text-[14px] text-soft">No cue: look it up by its words.</p>
      )}
    </fieldset>
  );
}
