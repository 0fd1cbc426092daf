import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Compared } from '#contracts';
import { DoneNotice, useMany } from '../acts';
import { KEYS, queryClient } from '../api';
import { LongWork, useLongWork } from '../longWork';
import { Figure } from '../shell';
import { Button, Notice, Tick } from '../ui';
import { bringBackParts } from './bringBackParts';
import { CasePart, CollectionPart } from './Parts';
import { momentOf } from './whyWords';

const WHAT_WORDS = { new: 'joined since', changed: 'changed since', left: 'left since' };

function People({ people }: { people: NonNullable<Compared['people']> }) {
  if (people.length === 0) return null;
  return (
    <section aria-label="People">
      <h2 className="eyebrow px-9 pt-5 max-[899px]:px-4">People</h2>
      <ul className="px-9 py-2 text-[14px] max-[899px]:px-4">
        {people.map(({ name, what }) => (
          <li key={name}>
            {name} <span className="text-soft">{WHAT_WORDS[what]}</span>
          </li>
        ))}
      </ul>
      <p className="px-9 text-[13px] text-soft max-[899px]:px-4">
        People and rights stay as they are today. To go back to those of then, restore all of the backup on
        the server.
      </p>
    </section>
  );
}

interface Chosen {
  collections: ReadonlySet<string>;
  /** Those of them from which what came since goes too. */
  withSince: ReadonlySet<string>;
  cases: ReadonlySet<string>;
}
const NOTHING: Chosen = { collections: new Set(), withSince: new Set(), cases: new Set() };

function toggled(set: ReadonlySet<string>, id: string): ReadonlySet<string> {
  const next = new Set(set);
  if (!next.delete(id)) next.add(id);
  return next;
}

function Differences({
  compared,
  chosen,
  choose,
}: {
  compared: Compared;
  chosen: Chosen;
  choose: (chosen: Chosen) => void;
}) {
  const { collections, cases, people } = compared;
  return (
    <>
      {collections.length + cases.length === 0 && (
        <p className="px-9 py-4 text-soft max-[899px]:px-4">
          All you keep or wrote is today as it was then. There is nothing to bring back.
        </p>
      )}
      {collections.length > 0 && (
        <section aria-label="Collections">
          <h2 className="eyebrow px-9 pt-4 max-[899px]:px-4">Collections</h2>
          <ul>
            {collections.map((collection) => {
              const { id, since } = collection;
              const isOn = chosen.collections.has(id);
              return (
                <CollectionPart
                  key={id}
                  collection={collection}
                  on={isOn}
                  toggle={() => choose({ ...chosen, collections: toggled(chosen.collections, id) })}
                >
                  {isOn && since.count > 0 && (
                    <Tick
                      on={chosen.withSince.has(id)}
                      toggle={() => choose({ ...chosen, withSince: toggled(chosen.withSince, id) })}
                    >
                      Also move what was added since to the wastebasket
                    </Tick>
                  )}
                </CollectionPart>
              );
            })}
          </ul>
        </section>
      )}
      {cases.length > 0 && (
        <section aria-label="Your cases">
          <h2 className="eyebrow px-9 pt-5 max-[899px]:px-4">Your cases</h2>
          <ul>
            {cases.map((one) => (
              <CasePart
                key={one.id}
                of={one}
                on={chosen.cases.has(one.id)}
                toggle={() => choose({ ...chosen, cases: toggled(chosen.cases, one.id) })}
              />
            ))}
          </ul>
        </section>
      )}
      {people && <People people={people} />}
    </>
  );
}

const momentInName = /(\d{4}-\d{2}-\d{2})-(\d{2})(\d{2})(\d{2})/;
/** When a backup was made, as its name says it; what it is called where that says nothing. */
function titleOf(name: string): string {
  const [, day, hours, minutes, seconds] = momentInName.exec(name) ?? [];
  return day === undefined ? name : momentOf.format(new Date(`${day}T${hours}:${minutes}:${seconds}Z`));
}

/** How today is other than a backup, and what of it is to come back. */
export function PartsPage() {
  const { backup = '' } = useParams();
  const { working, start, stop } = useLongWork('compareBackup');
  const [chosen, choose] = useState<Chosen>(NOTHING);
  const many = useMany(() => {
    choose(NOTHING);
    for (const queryKey of [KEYS.backups, KEYS.cases]) void queryClient.invalidateQueries({ queryKey });
  });
  // Compared anew once something was brought back, or that was undone.
  useEffect(() => start({ backup }), [start, backup, many.done]);
  const count = chosen.collections.size + chosen.cases.size;
  const bringBack = () =>
    many.run(() =>
      bringBackParts({
        backup,
        collections: [...chosen.collections].map((id) => ({ id, withSince: chosen.withSince.has(id) })),
        cases: [...chosen.cases],
      }),
    );
  return (
    <Figure
      marginLabel="Bringing back"
      margin={
        <div className="grid gap-4 pt-6">
          <Button className="justify-self-start" disabled={count === 0 || many.pending} onClick={bringBack}>
            Bring back what is ticked
          </Button>
          <p className="text-[14px] text-soft">
            Entries get their wording of then as a new revision. Your texts that read differently today stay;
            the text of then is put among their earlier texts. A backup is made first.
          </p>
          <Link to="/backups" className="text-[14px] text-elder underline">
            All backups
          </Link>
        </div>
      }
    >
      <h1 className="px-9 pt-6 pb-1 font-book text-[26px] leading-tight break-words max-[899px]:px-4">
        Backup of {titleOf(backup)}
      </h1>
      <p className="px-9 pb-2 text-[14px] text-soft max-[899px]:px-4">What is different today</p>
      <div className="px-9 empty:hidden max-[899px]:px-4">
        <DoneNotice many={many} />
      </div>
      <LongWork what="Reading the backup" working={working} stop={stop}>
        {(told) =>
          told.state === 'done' ? (
            <Differences compared={told.result} chosen={chosen} choose={choose} />
          ) : (
            <div className="px-9 py-3 max-[899px]:px-4">
              <Notice tone="warning" title={told.why} />
            </div>
          )
        }
      </LongWork>
    </Figure>
  );
}
