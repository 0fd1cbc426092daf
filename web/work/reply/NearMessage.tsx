import type { Nearest } from '#contracts';
import { firstCue, type BankIndex } from '#core/bank';
import { mainPassage } from '#core/entry';
import { excerpt } from '#core/passage';
import { CueShown } from '../../show';
import { Key } from '../../ui';

/** By this key the first of them that is not on the leaf yet is placed. */
export const NEAR_KEY = 'Alt + .';

interface Props {
  near: Nearest['entries'];
  index: BankIndex;
  /** The entries that the leaf has already. */
  placed: ReadonlySet<string>;
  place: (entry: string) => void;
}

/** The entries nearest to the message that is answered, with the words they share. */
export const NearMessage = ({ near, index, placed, place }: Props) => (
  // Once something is placed, what is asked about it comes first.
  <details open={placed.size === 0} className="mb-5">
    <summary className="section-head cursor-pointer">
      Near to the message <Key>{NEAR_KEY}</Key>
    </summary>
    <ul className="mt-1" aria-label="Near to the message">
      {near.map(({ entry, words }) => (
        <li key={entry.id} className="border-b border-hair">
          <button
            type="button"
            title={excerpt(mainPassage(entry.content), 200)}
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => place(entry.id)}
            className="grid w-full grid-cols-[4.5rem_1fr] items-baseline gap-x-3 py-1 text-left hover:text-elder"
          >
            <span className="truncate">
              <CueShown cue={firstCue(entry, index.collections.get(entry.collection))} />
            </span>
            <span className={`truncate text-[14px] ${placed.has(entry.id) ? 'text-soft' : ''}`}>
              {entry.content.title}
              {placed.has(entry.id) && ', placed'}
            </span>
            <span className="col-start-2 truncate text-[12.5px] text-soft">{words.join(', ')}</span>
          </button>
        </li>
      ))}
    </ul>
  </details>
);
