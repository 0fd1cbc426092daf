import { excerpt } from '#core/passage';
import { DifferenceView } from '../show';
import { mainPassage } from '#core/entry';
import { Button, Picks, Tick } from '../ui';
import type { Choice, Planned } from '#core/takeover';

interface Props {
  arrivals: readonly Planned[];
  leadIn: string;
  choose: (ids: readonly string[], choice: Choice) => void;
}

const WAYS: readonly (readonly [Choice, string])[] = [
  ['leave', 'Keep yours'],
  ['replace', 'Use theirs, as the next revision'],
  ['new', 'Keep both'],
];

const heading = 'eyebrow border-b border-hair px-9 pt-5 pb-1 max-[899px]:px-4';
const line = 'border-b border-hair px-9 py-3 max-[899px]:px-4';

/** Which of its cues are taken here, and what stands in for them. */
function Cues({ planned: { cues }, leadIn }: { planned: Planned; leadIn: string }) {
  return cues.map(({ cue, now }) => (
    <p key={cue} className="text-[13px] text-rust">
      <span className="cue">{leadIn + cue}</span> is taken here: it comes{' '}
      {now === null ? (
        'without it'
      ) : (
        <>
          with <span className="cue">{leadIn + now}</span>
        </>
      )}
      .
    </p>
  ));
}

/** What arrives, beside what it finds here: new, read otherwise, the same. */
export function ArrivalsList({ arrivals, leadIn, choose }: Props) {
  const of = (state: Planned['state']) => arrivals.filter((one) => one.state === state);
  const [fresh, differing, same] = [of('new'), of('differs'), of('same')];
  const ids = (all: readonly Planned[]) => all.map(({ id }) => id);
  return (
    <>
      {differing.length > 0 && (
        <section aria-label="Differ from yours">
          <h2 className={heading}>
            Differ from yours: {differing.length}{' '}
            <Button look="text" className="ml-3" onClick={() => choose(ids(differing), 'replace')}>
              Use all of theirs
            </Button>{' '}
            <Button look="text" className="ml-3" onClick={() => choose(ids(differing), 'leave')}>
              Keep all of yours
            </Button>
          </h2>
          <ul>
            {differing.map((one) => (
              <li key={one.id} className={`${line} grid gap-2`}>
                <p className="font-book text-[17px] break-words">{one.content.title}</p>
                <div className="border-l border-hair pl-3">
                  <DifferenceView before={one.standing!.content} after={one.content} />
                </div>
                <Picks
                  legend={`What to do with ${one.content.title}`}
                  options={WAYS}
                  value={one.choice}
                  pick={(choice) => choose([one.id], choice)}
                />
                <Cues planned={one} leadIn={leadIn} />
              </li>
            ))}
          </ul>
        </section>
      )}
      {fresh.length > 0 && (
        <section aria-label="New here">
          <h2 className={heading}>New here: {fresh.length}</h2>
          <ul>
            {fresh.map((one) => (
              <li key={one.id} className={line}>
                <Tick
                  on={one.choice === 'new'}
                  toggle={() => choose([one.id], one.choice === 'new' ? 'leave' : 'new')}
                >
                  {one.content.title}
                </Tick>
                <p className="line-clamp-2 pl-6 text-[13.5px] text-soft">
                  {excerpt(mainPassage(one.content), 160)}
                </p>
                <div className="pl-6">
                  <Cues planned={one} leadIn={leadIn} />
                </div>
              </li>
            ))}
          </ul>
        </section>
      )}
      {same.length > 0 && (
        <section aria-label="Identical">
          <h2 className={heading}>Identical: {same.length}</h2>
          <p className={`${line} text-[13.5px] text-soft`}>
            {same.map(({ content }) => content.title).join(', ')}
          </p>
        </section>
      )}
    </>
  );
}
