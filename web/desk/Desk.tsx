import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { CaseSummary } from '#contracts';
import { inWords } from '#client/api';
import { useCases } from '../api';
import { DropFiles } from '../arrivals';
import { Figure, useShell } from '../shell';
import { BesideDesk, useCaseGroups, type CaseGroup } from '../work';
import { WaitingList } from '../waiting';
import { Button, Failed, Loading, Notice, TextField } from '../ui';
import { CaseGroups } from './CaseGroups';
import { CaseLine } from './CaseLine';
import { DeletedDraft } from './DeletedDraft';
import { FoundCases } from './FoundCases';
import { NewCasePanel } from './NewCasePanel';
import { useNewLeaf } from './useBegin';

const GROUPS = [
  { state: 'open', title: 'Unfinished' },
  { state: 'none', title: 'Not begun' },
  { state: 'finished', title: 'Finished' },
] as const;

function Groups({ cases, groups }: { cases: CaseSummary[]; groups: readonly CaseGroup[] }) {
  if (cases.length === 0) {
    return (
      <p className="px-9 py-8 text-soft">
        Your desk is empty. Begin a leaf or a case, or drop files in the margin. What you write is saved as
        you write.
      </p>
    );
  }
  const closed = cases.filter((one) => one.closed);
  const parts = GROUPS.map(({ state, title }) => {
    const here = cases.filter((one) => !one.closed && (one.draft?.state ?? 'none') === state);
    if (here.length === 0) return null;
    return (
      <section key={state} aria-label={title} className="pb-3">
        <h2 className="section-head border-b border-hair px-9 pt-4 pb-1.5 max-[899px]:px-4">{title}</h2>
        <CaseGroups cases={here} groups={groups} />
      </section>
    );
  });
  return (
    <>
      {closed.length === cases.length && <p className="px-9 py-8 text-soft">All your cases are closed.</p>}
      {parts}
      {closed.length > 0 && (
        <details className="pb-3">
          <summary className="section-head cursor-pointer border-b border-hair px-9 pt-4 pb-1.5 max-[899px]:px-4">
            Closed, {closed.length.toLocaleString()}
          </summary>
          <ul aria-label="Closed">
            {closed.map((one) => (
              <CaseLine key={one.id} one={one} />
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

/** The cases of the desk, or those that have some words. */
function Cases({ words }: { words: string }) {
  const cases = useCases();
  const groups = useCaseGroups();
  if (cases.isPending || (cases.data && !groups)) return <Loading what="your cases" />;
  if (cases.isError)
    return <Failed what="your cases" error={cases.error} retry={() => void cases.refetch()} />;
  if (words.trim() !== '') return <FoundCases words={words} />;
  return <Groups cases={cases.data} groups={groups!} />;
}

/** The desk: the cases given to me, what is unfinished first. */
export function Desk() {
  const { member } = useShell();
  const cases = useCases();
  const leaf = useNewLeaf();
  // In the address, so that the look-up leads to it and the browser leads back from it.
  const [address, setAddress] = useSearchParams();
  const asked = address.get('new');
  // In the address too: back from a case that was found, what was looked for stands there still.
  const [words, setWords] = useState(address.get('words') ?? '');
  const look = (typed: string) => {
    setWords(typed);
    setAddress(typed === '' ? {} : { words: typed }, { replace: true });
  };
  const isBeginning = asked === 'case';
  const { run } = leaf;
  useEffect(() => {
    if (asked !== 'leaf') return;
    setAddress({}, { replace: true });
    run();
  }, [asked, run, setAddress]);
  return (
    <Figure
      marginLabel="Beside the desk"
      margin={
        <>
          {isBeginning && cases.data && (
            <NewCasePanel cases={cases.data} close={() => setAddress({}, { replace: true })} />
          )}
          <WaitingList />
          <BesideDesk />
          <DropFiles />
        </>
      }
    >
      <header className="flex flex-wrap items-baseline gap-2 px-9 pt-6 pb-1 max-[899px]:px-4">
        <h1 className="grow font-book text-[26px] leading-tight">{member.name.split(' ')[0]}’s desk</h1>
        <Button disabled={leaf.isPending} onClick={leaf.run}>
          New leaf
        </Button>
        <Button aria-expanded={isBeginning} onClick={() => setAddress(isBeginning ? {} : { new: 'case' })}>
          New case
        </Button>
      </header>
      {leaf.error && (
        <div className="px-9 max-[899px]:px-4">
          <Notice tone="warning" title={inWords(leaf.error)}>
            No leaf was begun.
          </Notice>
        </div>
      )}
      <DeletedDraft />
      {(cases.data?.length ?? 0) > 0 && (
        <div className="px-9 pt-3 max-[899px]:px-4">
          <TextField
            type="search"
            label="Search your cases"
            placeholder="A title, a number, a name, or words you wrote"
            maxLength={200}
            value={words}
            onChange={({ target }) => look(target.value)}
          />
        </div>
      )}
      <Cases words={words} />
    </Figure>
  );
}
