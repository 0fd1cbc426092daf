import { CueShown, DifferenceView, WordingsView } from '../show';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Collection, Entry, Uses } from '#contracts';
import { firstCue, type BankIndex } from '#core/bank';
import { DoneNotice, useMany } from '../acts';
import { Button, Tick } from '../ui';
import { cuesTaken, mergeAlike } from '#client/acts';

const timesInWords = (uses: Uses[string] | undefined) =>
  uses
    ? `placed ${uses.times === 1 ? 'once' : `${uses.times} times`} by ${uses.members === 1 ? 'one member' : `${uses.members} members`}`
    : 'in no draft';

/** Title and cues of each are read where it is named. */
const IN_THE_HEAD = ['title', 'cues'] as const;

interface Props {
  index: BankIndex;
  entries: readonly Entry[];
  /** How many there are; not all of many are shown. */
  count: number;
  uses: Uses;
}

interface AlikeProps {
  entry: Entry;
  collection: Collection | undefined;
  /** How often it was placed, in words. */
  used: string;
  /** The entry that is left: the others go into it. */
  into: Entry;
  /** Others keep it: it stays as it is. */
  isKeptByOthers: boolean;
  goesInto: boolean;
  toggle: () => void;
  makeLeft: () => void;
}

/** One of the entries that are alike: what it says where it is left, else in what it differs from that. */
function Alike(props: AlikeProps) {
  const { entry, collection, used, into, isKeptByOthers, goesInto, toggle, makeLeft } = props;
  const { title } = entry.content;
  const isLeft = entry === into;
  return (
    <section aria-label={title} className="grid gap-1.5">
      <p className="flex items-baseline gap-x-3">
        <label className="flex items-baseline gap-2">
          <input
            type="radio"
            className="accent-elder"
            disabled={isKeptByOthers}
            checked={isLeft}
            onChange={makeLeft}
          />
          <span className="sr-only">Merge into {title}</span>
        </label>
        <span className="flex min-w-0 flex-wrap items-baseline gap-x-3">
          <Link to={`/bank/${entry.id}`} className="font-book text-[17px] break-words text-ink">
            {title}
          </Link>
          <CueShown cue={firstCue(entry, collection)} />
          <span className="text-[13px] text-soft">
            {collection?.name}, {used}
          </span>
        </span>
      </p>
      <div className="pl-6">
        {isLeft ? (
          <div className="book text-[15px] leading-[1.9]">
            <WordingsView content={entry.content} />
          </div>
        ) : (
          <>
            <DifferenceView before={into.content} after={entry.content} without={IN_THE_HEAD} />
            <div className="mt-1.5">
              {isKeptByOthers ? (
                <p className="text-[13px] text-soft">Others keep it: it stays as it is.</p>
              ) : (
                <Tick on={goesInto} toggle={toggle}>
                  merge into “{into.content.title}”
                </Tick>
              )}
            </div>
          </>
        )}
      </div>
    </section>
  );
}

/** Entries that say nearly the same: which is left, which go into it, and in what they differ from it. */
export function AlikeGroup({ index, entries, count, uses }: Props) {
  const mayKeep = (entry: Entry) => index.collections.get(entry.collection)?.right === 'keep';
  const mostUsed = [...entries].sort(
    (a, b) => Number(mayKeep(b)) - Number(mayKeep(a)) || (uses[b.id]?.times ?? 0) - (uses[a.id]?.times ?? 0),
  );
  const [left, setLeft] = useState(mostUsed[0]!.id);
  const [out, setOut] = useState<ReadonlySet<string>>(new Set());
  const many = useMany(() => undefined);
  const into = entries.find(({ id }) => id === left)!;
  const others = entries.filter((entry) => entry.id !== left && mayKeep(entry) && !out.has(entry.id));
  const taken = cuesTaken(index, into, others);
  const toggle = (id: string) =>
    setOut((now) => new Set(now.has(id) ? [...now].filter((one) => one !== id) : [...now, id]));
  if (many.done)
    return (
      <li className="border-b border-hair last:border-b-0 px-9 py-4 max-[899px]:px-4">
        <DoneNotice many={many} />
      </li>
    );
  return (
    <li className="border-b border-hair last:border-b-0 px-9 py-5 max-[899px]:px-4">
      <fieldset className="grid gap-3">
        <legend className="eyebrow">
          {count} entries{count > entries.length && `, ${entries.length} of them shown`}
        </legend>
        {mostUsed.map((entry) => (
          <Alike
            key={entry.id}
            {...{ entry, into }}
            collection={index.collections.get(entry.collection)}
            used={timesInWords(uses[entry.id])}
            isKeptByOthers={!mayKeep(entry)}
            goesInto={!out.has(entry.id)}
            toggle={() => toggle(entry.id)}
            makeLeft={() => setLeft(entry.id)}
          />
        ))}
      </fieldset>
      {taken.length > 0 && (
        <p className="mt-2 text-[13.5px] text-soft">
          Not carried over, since another entry uses it: <span className="cue">{taken.join(', ')}</span>
        </p>
      )}
      <DoneNotice many={many} />
      {mayKeep(into) && (
        <p className="mt-3">
          <Button
            disabled={others.length === 0 || many.pending}
            onClick={() => many.run(() => mergeAlike(index, into, others))}
          >
            Merge {others.length + 1} into one
          </Button>
        </p>
      )}
    </li>
  );
}
