import { Link } from 'react-router';
import { keysOfEntry, type BankIndex } from '#core/bank';
import { excerptOfEntry } from '#core/entry';
import { useReach } from '../../api';

const MOST = 60;

/** What is in reach for names: senders, patterns and other pieces, with their cues. */
export function PatternList({ index }: { index: BankIndex }) {
  const reach = useReach(index, 'naming');
  const entries = (reach?.entries ?? []).filter(({ collection }) =>
    index.collections.get(collection)?.kindsOfWork.includes('naming'),
  );
  return (
    <section aria-label="For names">
      <h2 className="eyebrow">For names, in your bank</h2>
      {entries.length === 0 && (
        <p className="text-[13.5px] text-soft">
          No collection is meant for file names yet. A pattern saved here goes into the one that you pick.
        </p>
      )}
      <ul>
        {entries.slice(0, MOST).map((entry) => (
          <li key={entry.id} className="border-b border-hair py-1 text-[14px]">
            <span className="flex items-baseline gap-2">
              <span className="shrink-0 font-cue text-[13px] text-leaf">
                {keysOfEntry(entry, index.collections.get(entry.collection))}
              </span>
              <Link to={`/entries/${entry.id}`} className="min-w-0 break-words hover:text-elder">
                {entry.content.title}
              </Link>
            </span>
            <span className="block font-book text-[13.5px] text-soft">
              {excerptOfEntry(entry.content, 90)}
            </span>
          </li>
        ))}
      </ul>
      {entries.length > MOST && (
        <p className="mt-1 text-[13px] text-soft">and {(entries.length - MOST).toLocaleString()} more</p>
      )}
    </section>
  );
}
