import { useRef, useState } from 'react';
import type { Ageing, ReviewGiven } from '#contracts';
import { inWords } from '#client/api';
import type { BankIndex } from '#core/bank';
import { EntryHead, counted } from '../show';
import { Button, Notice, Tick, useFocusNext } from '../ui';
import { Facts } from './Facts';
import { ReviewForm } from './ReviewForm';
import { useGiveReview } from './reviews';

type Given = NonNullable<ReviewGiven['review']>;

const isKept = (index: BankIndex, collection: string): boolean =>
  index.collections.get(collection)?.right === 'keep';

interface EntriesProps extends Pick<Ageing, 'entries'> {
  index: BankIndex;
  /** Those that are not ticked. */
  left: ReadonlySet<string>;
  toggle: (id: string) => void;
}

/** What was found in each entry, and which of them get a day. */
const FoundEntries = ({ entries, index, left, toggle }: EntriesProps) => (
  <ul className="pt-2">
    {entries.map(({ entry, facts }) => (
      <li key={entry.id} className="border-t border-hair py-3">
        <EntryHead index={index} entry={entry}>
          {isKept(index, entry.collection) && (
            <Tick on={!left.has(entry.id)} toggle={() => toggle(entry.id)}>
              <span className="sr-only">Give {entry.content.title} a day</span>
            </Tick>
          )}
        </EntryHead>
        <Facts content={entry.content} facts={facts} />
      </li>
    ))}
  </ul>
);

/** Entries with facts that grow old: those ticked get a day, and a keeper, at once. */
export function FoundFacts({ index, found, again }: { index: BankIndex; found: Ageing; again: () => void }) {
  const { entries, count, dated, read } = found;
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const give = useGiveReview();
  const [given, setGiven] = useState<readonly string[] | null>(null);
  const undo = useRef<HTMLButtonElement>(null);
  const focusNext = useFocusNext();
  const taken = entries
    .map(({ entry }) => entry)
    .filter(({ id, collection }) => isKept(index, collection) && !left.has(id));
  const ids = taken.map(({ id }) => id);
  const giveAll = (review: Omit<Given, 'looked'>) =>
    give.mutate(
      { entries: ids, review: { ...review, looked: false } },
      {
        onSuccess: () => {
          // The form goes with what it was for.
          focusNext(() => undo.current);
          setGiven(ids);
        },
      },
    );
  const toggle = (id: string) =>
    setLeft(new Set(left.has(id) ? [...left].filter((one) => one !== id) : [...left, id]));
  return (
    <div className="px-9 max-[899px]:px-4">
      <p role="status" className="py-2 text-[14px] text-soft">
        Of {counted(read, 'entry', 'entries')} {count === 0 ? 'none has' : `${counted(count, 'has', 'have')}`}{' '}
        facts that go out of date and no review date
        {dated > 0 && `; ${counted(dated, 'entry has', 'entries have')} one`}
        {count > entries.length && `. The first ${entries.length} are shown`}.
      </p>
      {give.error && <Notice tone="warning" title={inWords(give.error)} />}
      {given ? (
        <Notice title={`${counted(given.length, 'entry has', 'entries have')} a review date now.`}>
          <Button
            ref={undo}
            look="text"
            onClick={() =>
              give.mutate({ entries: [...given], review: null }, { onSuccess: () => setGiven(null) })
            }
          >
            Undo
          </Button>{' '}
          <Button look="text" onClick={again}>
            Check again
          </Button>
        </Notice>
      ) : (
        ids.length > 0 && (
          <ReviewForm
            label={`Give ${counted(ids.length, 'entry', 'entries')} this day`}
            pending={give.isPending}
            give={giveAll}
          />
        )
      )}
      {!given && <FoundEntries entries={entries} index={index} left={left} toggle={toggle} />}
    </div>
  );
}
