import type { Entry } from '#contracts';
import { firstCue, type BankIndex } from '#core/bank';
import { mainPassage } from '#core/entry';
import { excerpt } from '#core/passage';
import { CueShown } from '../../show';

interface Props {
  entry: Entry;
  index: BankIndex;
  place: (entry: string) => void;
}

/** An entry that can be brought, with its cue; a click places it where the caret is. */
export function ReachEntry({ entry, index, place }: Props) {
  return (
    <li className="border-b border-hair">
      <button
        type="button"
        tabIndex={-1}
        title={excerpt(mainPassage(entry.content), 200)}
        onMouseDown={(event) => event.preventDefault()}
        onClick={() => place(entry.id)}
        className="grid w-full grid-cols-[4.5rem_1fr] items-baseline gap-3 py-1 text-left hover:text-elder"
      >
        <span className="truncate">
          <CueShown cue={firstCue(entry, index.collections.get(entry.collection))} />
        </span>
        <span className="truncate text-[14px]">{entry.content.title}</span>
      </button>
    </li>
  );
}
