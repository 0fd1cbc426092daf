import { memo } from 'react';
import { Link } from 'react-router';
import type { Collection, Entry } from '#contracts';
import { dayInWords, instantInWords } from '#client/clock';
import { Button } from '../ui';
import { firstCue } from '#core/bank';
import { CueShown, PassageView } from '../show';
import { wordingToRead } from '#core/fill';
import { dragEntry } from './draggedEntry';
import type { SheetLook } from './look';

interface RowProps {
  entry: Entry;
  collection: Collection;
  /** Whether it is selected; null where nothing is being selected. */
  selected: boolean | null;
  toggle: (entry: Entry) => void;
  /** The entries it may hold; null where it holds none, so that it is drawn again for none of them. */
  pieces: ReadonlyMap<string, Entry> | null;
  /** Which line of the sheet it is, and which of so many in its collection; what takes its height. */
  at: number;
  place: number;
  count: number;
  measure: (element: Element | null) => void;
  look: SheetLook;
  /** How often it was placed by everybody. */
  times: number;
  /** Whether it is due to be looked through. */
  isDue: boolean;
  /** Opens it for changing where it stands; null for those who may not. */
  edit: ((entry: Entry) => void) | null;
}

/** What stands behind the wording, of what the reader wants to see there. */
function Beside({ entry, look, times }: Pick<RowProps, 'entry' | 'look' | 'times'>) {
  if (!look.times && !look.saved) return null;
  return (
    <div className="text-right text-[13px] text-soft">
      {look.times && (
        <span className="block">{times === 0 ? 'never placed' : `placed ${times.toLocaleString()} ×`}</span>
      )}
      {look.saved && <span className="block">{dayInWords(entry.savedAt)}</span>}
    </div>
  );
}

/** What is said of it behind its title. */
function Besides({ entry, look, isDue }: Pick<RowProps, 'entry' | 'look' | 'isDue'>) {
  const { purpose, retired, tags } = entry.content;
  return (
    <>
      {entry.varies && <span className="font-normal text-leaf"> · a variation</span>}
      {retired && <span className="font-normal text-rust"> · out of use</span>}
      {isDue && <span className="font-normal text-rust"> · due for review</span>}
      {look.tags && tags.length > 0 && <span className="font-normal text-soft"> · {tags.join(', ')}</span>}
      {look.purpose && purpose && <span className="font-normal text-soft"> · {purpose}</span>}
    </>
  );
}

/** The title of an entry with what is said beside it, and its wording where that is shown. */
function Wording({ entry, pieces, look, isDue }: Pick<RowProps, 'entry' | 'pieces' | 'look' | 'isDue'>) {
  return (
    <div className="min-w-0">
      <div className="break-words text-[14px] font-semibold group-hover:text-elder">
        {entry.content.title}
        <Besides entry={entry} look={look} isDue={isDue} />
      </div>
      {look.wording && (
        <div className="sheet-wording book">
          <PassageView {...wordingToRead(entry.content, (id) => pieces?.get(id)?.content)} links={false} />
        </div>
      )}
    </div>
  );
}

/** An entry on the sheet: its cue beside its wording. Drawn again only when it is another: scrolling must keep up. */
export const SheetRow = memo(function SheetRow({
  entry,
  collection,
  selected,
  toggle,
  pieces,
  at,
  place,
  count,
  measure,
  look,
  times,
  isDue,
  edit,
}: RowProps) {
  const { title } = entry.content;
  const cue = firstCue(entry, collection);
  return (
    <li
      ref={measure}
      data-index={at}
      aria-posinset={place + 1}
      aria-setsize={count}
      className={`sheet-row group/row relative ${selected === null ? '' : 'flex'} ${look.dense ? 'is-dense' : ''}`}
    >
      {selected !== null && (
        <input
          type="checkbox"
          aria-label={`Select ${title}`}
          checked={selected}
          onChange={() => toggle(entry)}
          className="mt-2.5 ml-3 size-6 shrink-0 self-start accent-elder"
        />
      )}
      <Link
        to={`/bank/${entry.id}`}
        title={`Saved ${instantInWords(entry.savedAt)}`}
        onDragStart={(event) => dragEntry(event, entry.id)}
        className={`group grid min-w-0 grow gap-x-5 px-9 max-[899px]:grid-cols-[4rem_minmax(0,1fr)] max-[899px]:px-4 ${look.dense ? 'py-1' : 'py-2.5'} ${look.times || look.saved ? 'grid-cols-[5.5rem_minmax(0,1fr)_7.5rem]' : 'grid-cols-[5.5rem_minmax(0,1fr)]'}`}
      >
        <div className="pt-px break-words">
          {cue ? <CueShown cue={cue} /> : <span className="cue text-soft">–</span>}
        </div>
        <Wording {...{ entry, pieces, look, isDue }} />
        <Beside entry={entry} look={look} times={times} />
      </Link>
      {edit && selected === null && (
        <Button
          look="text"
          data-print="no"
          aria-label={`Change ${title} here`}
          className="absolute top-2 right-2 bg-page px-1 text-[13px] opacity-0 group-hover/row:opacity-100 focus-visible:opacity-100 max-[899px]:hidden"
          onClick={() => edit(entry)}
        >
          Change here
        </Button>
      )}
    </li>
  );
});
