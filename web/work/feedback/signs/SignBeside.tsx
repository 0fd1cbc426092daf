import { entryIn, firstCue } from '#core/bank';
import { excerptOfEntry } from '#core/entry';
import { useBankIndex } from '../../../api';
import { CueShown } from '../../../show';
import { Button, Key } from '../../../ui';
import type { Signs } from './useSigns';

/** The entry that would fit at the place at hand, and what can be done with it. */
export function SignBeside({ signs: { sign, shown, take, leave, next } }: { signs: Signs }) {
  const index = useBankIndex();
  const entry = sign && index ? entryIn(index, sign.entry) : null;
  if (!entry) return null;
  const stay = (event: React.MouseEvent) => event.preventDefault();
  return (
    <section aria-label="Sign" className="font-face text-[15px]">
      <p className="eyebrow">
        Would fit here · {shown.indexOf(sign!) + 1} of {shown.length}
      </p>
      <p className="mt-1 flex items-baseline gap-2">
        <span className="min-w-0 font-semibold break-words">{entry.content.title}</span>
        <CueShown
          cue={firstCue(entry, index?.collections.get(entry.collection))}
          className="ml-auto shrink-0"
        />
      </p>
      <p className="text-[14px] text-soft">{excerptOfEntry(entry.content, 160)}</p>
      <p className="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-[13px]">
        <Button look="text" onMouseDown={stay} onClick={take}>
          Take it <Key>Enter</Key>
        </Button>
        <Button look="text" onMouseDown={stay} onClick={leave}>
          Ignore it <Key>Delete</Key>
        </Button>
        <Button look="text" onMouseDown={stay} onClick={next}>
          Next <Key>Alt + .</Key>
        </Button>
      </p>
    </section>
  );
}
