import { memo } from 'react';
import { Link } from 'react-router';
import type { Entry } from '#contracts';
import { instantInWords } from '../../clock/calendarToday';
import { mainPassage } from '../entryFields';
import { PassageView } from '../PassageView';

interface RowProps {
  entry: Entry;
  cue: string | null;
  /** Whether it is selected; null where nothing is being selected. */
  selected: boolean | null;
  toggle: (entry: Entry) => void;
  /** Which line of the sheet it is, and which of so many in its collection; what takes its height. */
  at: number;
  place: number;
  count: number;
  measure: (element: Element | null) => void;
}

/** An entry on the sheet: its cue beside its wording. Drawn again only when it is another: scrolling must keep up. */
export const SheetRow = memo(function SheetRow({
  entry,
  cue,
  selected,
  toggle,
  at,
  place,
  count,
  measure,
}: RowProps) {
  const { title, purpose, fields, retired, tags } = entry.content;
  return (
    <li
      ref={measure}
      data-index={at}
      aria-posinset={place + 1}
      aria-setsize={count}
      className={`sheet-row ${selected === null ? '' : 'flex'}`}
    >
      {selected !== null && (
        <input
          type="checkbox"
          aria-label={`Select ${title}`}
          checked={selected}
          onChange={() => toggle(entry)}
          className="mt-3.5 ml-4 shrink-0 self-start accent-elder"
        />
      )}
      <Link
        to={`/bank/${entry.id}`}
        title={`Saved ${instantInWords(entry.savedAt)}`}
        className="group grid grow grid-cols-[5.5rem_minmax(0,1fr)] gap-x-5 px-7 py-2.5 max-[899px]:grid-cols-[4rem_minmax(0,1fr)] max-[899px]:px-4"
      >
        <div className="cue pt-px break-words">{cue ?? <span className="text-soft">–</span>}</div>
        <div className="min-w-0">
          <div className="break-words text-[14px] font-semibold group-hover:text-elder">
            {title}
            {entry.varies && <span className="font-normal text-leaf"> · a variation</span>}
            {retired && <span className="font-normal text-rust"> · out of use</span>}
            {tags.length > 0 && <span className="font-normal text-soft"> · {tags.join(', ')}</span>}
            {purpose && <span className="font-normal text-soft"> · {purpose}</span>}
          </div>
          <div className="sheet-wording book">
            <PassageView
              passage={mainPassage(entry.content)}
              nameOf={(id) => fields.find((field) => field.id === id)?.name ?? id}
              links={false}
            />
          </div>
        </div>
      </Link>
    </li>
  );
});
