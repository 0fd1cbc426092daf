import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { BankCue, CueRules } from '#core/cue';
import { useBank, useBankIndex } from '../api';
import { type BankIndex, bankCues } from '#core/bank';
import { AwaitedScreen, Figure } from '../shell';
import { Button } from '../ui';
import { ClashList } from './ClashList';
import { BEFORE, FIRES, LETTERS } from './ruleWords';
import { TryOut } from './TryOut';
import { useClashes } from './useClashes';

/** Drawing tens of thousands takes a moment, and few want them. */
const LISTED_FIRST = 300;

/** What about a cue is not as its collection has it, in a few words; '' for one of the usual rules. */
function rulesInWords({ as, rules }: BankCue, usual: CueRules): string {
  if (as === 'keys') return 'keys';
  const own = [
    as === 'pattern' && 'a pattern, on a closing key',
    as !== 'pattern' && rules.fires !== usual.fires && FIRES[rules.fires],
    rules.before !== usual.before && `before it ${BEFORE[rules.before]}`,
    rules.letters !== usual.letters && `capitals ${LETTERS[rules.letters]}`,
  ];
  return own.filter(Boolean).join('; ');
}

function CueList({ index, cues }: { index: BankIndex; cues: readonly BankCue[] }) {
  const [all, setAll] = useState(false);
  const shown = all ? cues : cues.slice(0, LISTED_FIRST);
  return (
    <ul>
      {shown.map((cue) => (
        <li key={`${cue.entry} ${cue.typed}`} className="border-b border-hair">
          <Link
            to={`/bank/${cue.entry}`}
            className="grid grid-cols-[5.5rem_minmax(0,1fr)] items-baseline gap-x-4 px-9 py-1.5 hover:text-elder max-[899px]:px-4"
          >
            <span className="cue break-words">{cue.typed}</span>
            <span className="truncate text-[14px]">
              {cue.title}{' '}
              <span className="text-[12.5px] text-soft">
                {[cue.collection.name, rulesInWords(cue, index.collections.get(cue.collection.id)!.cueRules)]
                  .filter(Boolean)
                  .join('; ')}
              </span>
            </span>
          </Link>
        </li>
      ))}
      {shown.length < cues.length && (
        <li className="px-9 py-2 max-[899px]:px-4">
          <Button look="text" onClick={() => setAll(true)}>
            And {(cues.length - shown.length).toLocaleString()} more
          </Button>
        </li>
      )}
    </ul>
  );
}

/** How cues work, said where they can be tried. */
function HowCuesWork() {
  return (
    <section aria-label="How cues work" className="grid gap-2 text-[14px] text-soft">
      <h2 className="section-head">How cues work</h2>
      <p>
        A cue begins with the lead-in of its collection. It fires as soon as it is typed, or waits for a
        closing key: Space, Enter, Tab or punctuation.
      </p>
      <p>
        Each collection says what its new cues are made from, so that they can be worked out: on its own page.
      </p>
      <p>
        Of two that fit, the longest wins; of two typed alike, your own before a shared one. One Backspace
        right after gives back what you typed, and it does not fire again.
      </p>
      <p>
        A cue may also be keys (a combination, or one and then a letter), or a pattern in RE2 syntax whose
        groups answer the fields: <span className="cue">{'fed (?P<Amount>\\d+) ?g'}</span>.
      </p>
    </section>
  );
}

function Known({ index }: { index: BankIndex }) {
  const cues = useMemo(() => bankCues(index), [index]);
  const clashes = useClashes(cues);
  return (
    <Figure
      marginLabel="About cues"
      margin={
        <div className="grid gap-7 pt-6">
          <HowCuesWork />
        </div>
      }
    >
      <header className="px-9 pt-6 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight">Cues</h1>
      </header>
      {index.away.size > 0 && (
        <p className="px-9 pt-1 text-[14px] text-soft max-[899px]:px-4">
          Of what is loaded: {index.away.size.toLocaleString()} collections of this large bank are not, and no
          cue of theirs fires until you switch them in on a leaf.
        </p>
      )}
      <TryOut cues={cues} />
      <section aria-label="Clashes" className="border-t border-hair pt-3">
        <h2 className="section-head px-9 max-[899px]:px-4">
          {clashes === null ? 'Looking for clashes …' : `Clashes: ${clashes.length.toLocaleString()}`}
        </h2>
        {clashes && <ClashList clashes={clashes} index={index} />}
      </section>
      <section aria-label="All cues" className="pt-5">
        <h2 className="section-head px-9 max-[899px]:px-4">
          {cues.length === 0 ? 'No cues yet' : `All ${cues.length.toLocaleString()} cues`}
        </h2>
        {cues.length === 0 && (
          <p className="px-9 py-2 text-soft max-[899px]:px-4">
            An entry is given its cue where it is written.{' '}
            <Link to="/bank/new" className="text-elder underline">
              Write an entry
            </Link>
          </p>
        )}
        <CueList index={index} cues={cues} />
      </section>
    </Figure>
  );
}

/** Cues from one page: how they work, a line to try them on, what is in conflict, and all there are. */
export function CuesPage() {
  const bank = useBank();
  const index = useBankIndex();
  if (index) return <Known index={index} />;
  return <AwaitedScreen title="Cues" what="the cues" query={bank} />;
}
