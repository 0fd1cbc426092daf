import { inWords } from '#client/api';
import { offerAs } from '#client/files';
import { LETTER_STATES } from '#core/batch';
import { Button, Notice } from '../../../ui';
import type { Letter } from '../letterMaker';
import { STATE_LOOKS, STATE_WORDS, WAY_WORDS } from '../stateWords';
import { useRowChanges } from '../useBatch';
import { letterCount } from './letterCount';
import { wentWhere } from './wentWhere';

/** How many letters are where; what went where as a table; and what did not go after all. */
export function WhereTheyAre({
  of,
  title,
  letters,
}: {
  of: string;
  title: string;
  letters: readonly Letter[];
}) {
  const changes = useRowChanges(of);
  const states = LETTER_STATES.map((state) => ({
    state,
    count: letters.filter((each) => each.state === state).length,
  })).filter(({ count }) => count > 0);
  const byFiles = letters.filter(({ row }) => row.gone !== null);
  return (
    <section aria-label="Where they are" className="slip">
      <h2 className="section-head">Where they are</h2>
      <ul className="mt-1 grid pr-3 text-[14px]">
        {states.map(({ state, count }) => (
          <li key={state} className="flex justify-between border-b border-hair py-1">
            <span className={STATE_LOOKS[state]}>{STATE_WORDS[state]}</span>
            <span>{count.toLocaleString()}</span>
          </li>
        ))}
      </ul>
      {letters.length > 0 && (
        <Button
          className="mt-3"
          onClick={() => offerAs('csv', wentWhere(letters), `${title}, what went where`)}
        >
          Save as a table (CSV)
        </Button>
      )}
      {byFiles.length > 0 && (
        <div className="mt-3 text-[13.5px] text-soft">
          <p>
            As files or on paper: {letterCount(byFiles.length)} (
            {[...new Set(byFiles.map(({ row }) => WAY_WORDS[row.gone!]))].join(', ')}).
          </p>
          <Button
            look="text"
            onClick={() => changes.mutate(byFiles.map(({ row }) => ({ row: row.id, gone: null })))}
          >
            They have not gone after all
          </Button>
        </div>
      )}
      {changes.error && <Notice tone="warning" title={inWords(changes.error)} />}
    </section>
  );
}
