import type { Case, TrayLine } from '#contracts';
import { offerAs } from '#client/files';
import { Button } from '../../../ui';
import { renameTable, WAY_WORDS } from './renameTable';

const SHOWN = 200;

interface Props {
  one: Case;
  done: readonly TrayLine[];
  isBusy: boolean;
  /** Gives files their old names back; those that were taken away count as not renamed again. */
  undo: (lines: readonly TrayLine[]) => void;
}

/** What became what, with the way back. */
export function BecameList({ one, done, isBusy, undo }: Props) {
  if (done.length === 0)
    return <p className="text-[14px] text-soft">What became what is listed here, and can be undone.</p>;
  const here = done.filter(({ renamed }) => renamed === 'here').length;
  return (
    <section aria-label="What became what">
      <h2 className="eyebrow">What became what</h2>
      <p className="my-1 flex flex-wrap gap-x-4 gap-y-1 text-[13.5px]">
        <Button look="text" onClick={() => offerAs('csv', renameTable(done), `${one.title} renamed`)}>
          Take the list away (CSV)
        </Button>
        <Button look="text" disabled={isBusy} onClick={() => undo(done)}>
          {here > 0 ? 'Give all their old names back' : 'They were not renamed after all'}
        </Button>
      </p>
      <ul className="max-h-[62vh] overflow-y-auto" tabIndex={0} aria-label="Renamed files">
        {done.slice(0, SHOWN).map((line) => (
          <li key={line.id} className="border-b border-hair py-1 text-[13.5px]">
            <span className="block break-all text-soft">{line.name}</span>
            <span className="block font-book text-[15px] break-words">{line.newName}</span>
            <span className="flex items-baseline gap-3 text-[12.5px] text-soft">
              {line.renamed && WAY_WORDS[line.renamed]}
              <Button
                look="text"
                disabled={isBusy}
                aria-label={`Undo ${line.newName}`}
                onClick={() => undo([line])}
              >
                Undo
              </Button>
            </span>
          </li>
        ))}
      </ul>
      {done.length > SHOWN && (
        <p className="text-[13px] text-soft">
          and {(done.length - SHOWN).toLocaleString()} more: the table holds all of them.
        </p>
      )}
    </section>
  );
}
