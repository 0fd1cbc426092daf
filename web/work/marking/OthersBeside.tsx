import type { OthersMarkings } from '#contracts';
import { Button } from '../../ui';
import type { Markings } from './useMarkings';

/** What colleagues have marked on the same pages, each to be looked at, and to be put among one's own. */
export function OthersBeside({
  others,
  markings: { acts },
  open,
  pages,
}: {
  others: readonly OthersMarkings[];
  markings: Markings;
  open: boolean;
  pages: number;
}) {
  return others.map(({ author, authorName, finished, markings }) => (
    <section
      key={author}
      aria-label={`Markings of ${authorName}`}
      className="border-t border-hair pt-2 text-[14px]"
    >
      <h2 className="eyebrow">
        {authorName}
        {finished && ', finished'}
      </h2>
      <ul className="max-h-[40vh] overflow-y-auto">
        {markings.map((one) => (
          <li key={one.id} className="flex items-baseline gap-2 border-b border-hair">
            <button
              type="button"
              className="block min-h-6 flex-1 py-1 text-left font-book hover:bg-flower"
              onClick={() => acts.look(one.page, one.at)}
            >
              {one.words || 'Without words'}
              {pages > 1 && <span className="text-[12.5px] text-soft"> page {one.page + 1}</span>}
            </button>
            {open && one.words !== '' && (
              <Button look="text" aria-label={`Put on mine: ${one.words}`} onClick={() => acts.takeOver(one)}>
                On mine
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  ));
}
