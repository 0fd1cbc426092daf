import { useMutation } from '@tanstack/react-query';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Assigned, Assignment } from '#contracts';
import { inWords } from '#client/api';
import { dayInWords, instantInWords } from '#client/clock';
import { offerAs } from '#client/files';
import { Figure, loadScreen, useShell } from '../../../shell';
import { Button, Failed, Loading, Notice } from '../../../ui';
import { AssignmentForm } from './AssignmentForm';
import { lengthInWords } from './lengthInWords';
import { useAssignment } from './useAssignment';
import { TakeClass } from './TakeClass';

const STATES = { none: 'Not begun', open: 'Unfinished', finished: 'Finished' } as const;

interface RowProps {
  one: Assigned;
  limits: Assignment['limits'];
  nameOf: (person: string) => string;
}

function Row({ one, limits, nameOf }: RowProps) {
  const off = lengthInWords(one.words, limits);
  const cell = 'border-b border-hair py-1.5 pr-4 align-baseline';
  return (
    <tr>
      <th scope="row" className={`${cell} text-left font-normal`}>
        <Link to={`/cases/${one.case}`} className="text-elder underline">
          {nameOf(one.person)}
        </Link>
      </th>
      <td className={`${cell} text-right tabular-nums`}>{one.words.toLocaleString()}</td>
      <td className={`${cell} text-[13px] text-rust`}>{off}</td>
      <td className={`${cell} text-right tabular-nums`}>{one.comments.toLocaleString()}</td>
      <td className={`${cell} text-[13.5px] ${one.state === 'finished' ? 'text-leaf' : 'text-soft'}`}>
        {STATES[one.state]}
      </td>
      <td className={`${cell} text-[13px] text-soft`}>{instantInWords(one.handedIn)}</td>
    </tr>
  );
}

/** Everybody of the class: what they handed in, and how far it is; last those who have not. */
function Class({ one, nameOf }: { one: Assignment; nameOf: RowProps['nameOf'] }) {
  const missing = one.people.filter(({ name }) => !one.submissions.some(({ person }) => person === name));
  return (
    <>
      {one.submissions.length > 0 && (
        <div className="overflow-x-auto px-9 pb-4 max-[899px]:px-4">
          <table className="w-full text-[15px]">
            <caption className="sr-only">Submissions</caption>
            <thead>
              <tr className="eyebrow text-left">
                <th scope="col">Person</th>
                <th scope="col" className="pr-4 text-right">
                  Words
                </th>
                <th scope="col">
                  <span className="sr-only">Against the limits</span>
                </th>
                <th scope="col" className="pr-4 text-right">
                  Comments
                </th>
                <th scope="col">Yours</th>
                <th scope="col">Handed in</th>
              </tr>
            </thead>
            <tbody>
              {one.submissions.map((submission) => (
                <Row key={submission.case} one={submission} limits={one.limits} nameOf={nameOf} />
              ))}
            </tbody>
          </table>
        </div>
      )}
      {one.submissions.length === 0 && (
        <p className="px-9 py-6 text-soft max-[899px]:px-4">
          Nothing is handed in yet. Drop the files of the class in the margin: each goes to its person by its
          name.
        </p>
      )}
      {missing.length > 0 && (
        <p className="px-9 pb-6 text-[14px] text-soft max-[899px]:px-4">
          Not handed in: {missing.map(({ name }) => nameOf(name)).join(', ')}.
        </p>
      )}
    </>
  );
}

function useClassZip(one: Assignment) {
  const { member } = useShell();
  const [done, setDone] = useState(0);
  const zip = useMutation({
    mutationFn: async () => {
      setDone(0);
      // With what reads and writes docx: fetched only by those who take something away.
      const { classZip } = await import('./classZip');
      const { blob, count } = await classZip(one, member, setDone);
      if (count > 0) offerAs('zip', blob, one.title);
      return count;
    },
  });
  return { zip, done };
}

const limitsInWords = ({ least, most }: Assignment['limits']): string => {
  if (least !== null && most !== null) return `${least.toLocaleString()} to ${most.toLocaleString()} words`;
  if (most !== null) return `at most ${most.toLocaleString()} words`;
  return least === null ? '' : `at least ${least.toLocaleString()} words`;
};

// With what draws charts.
const ClassCountsView = lazy(() =>
  loadScreen(() => import('./ClassCountsView').then((view) => ({ default: view.ClassCountsView }))),
);

/** How people of a class are called: by their names, or by numbers that stay theirs while names are hidden. */
function useNamesOf({ people, submissions }: Assignment, areHidden: boolean) {
  return useMemo(() => {
    const names = [
      ...new Set([...people.map(({ name }) => name), ...submissions.map(({ person }) => person)]),
    ];
    return (person: string) => (areHidden ? `Person ${names.indexOf(person) + 1 || '?'}` : person);
  }, [people, submissions, areHidden]);
}

function AssignmentLeaf({ one }: { one: Assignment }) {
  const [isChanging, setChanging] = useState(false);
  const [areHidden, setHidden] = useState(false);
  const nameOf = useNamesOf(one, areHidden);
  const { zip, done } = useClassZip(one);
  const about = [
    one.due && `due ${dayInWords(`${one.due}T12:00:00`)}`,
    limitsInWords(one.limits),
    one.criteria.map(({ name }) => name).join(', '),
  ].filter(Boolean);
  const next = one.submissions.find(({ state }) => state !== 'finished');
  return (
    <Figure
      marginLabel="Beside the assignment"
      margin={
        isChanging ? (
          <div className="pt-6">
            <AssignmentForm one={one} saved={() => setChanging(false)} close={() => setChanging(false)} />
          </div>
        ) : (
          <TakeClass one={one} />
        )
      }
    >
      <header className="px-9 pt-6 pb-4 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight break-words">{one.title}</h1>
        {about.length > 0 && <p className="mt-1 text-[14px] text-soft">{about.join(' · ')}</p>}
        <div className="mt-3 flex flex-wrap items-baseline gap-x-4 gap-y-2">
          {next && (
            <Link to={`/cases/${next.case}`} className="text-elder underline">
              Go on with {nameOf(next.person)}
            </Link>
          )}
          <Button className="ml-auto" disabled={zip.isPending} onClick={() => zip.mutate()}>
            {zip.isPending ? `${done + 1} of ${one.submissions.length} …` : 'Download all with comments'}
          </Button>
          <Button aria-pressed={areHidden} onClick={() => setHidden(!areHidden)}>
            {areHidden ? 'Show names' : 'Hide names'}
          </Button>
          <Button aria-expanded={isChanging} onClick={() => setChanging(!isChanging)}>
            Change
          </Button>
        </div>
        {zip.error && (
          <div className="mt-3">
            <Notice tone="warning" title={inWords(zip.error)} />
          </div>
        )}
        {zip.data === 0 && (
          <div className="mt-3">
            <Notice title="There are no comments to download yet." />
          </div>
        )}
      </header>
      <Class one={one} nameOf={nameOf} />
      {one.submissions.some(({ comments }) => comments > 0) && (
        <Suspense fallback={<Loading what="the counts" />}>
          <ClassCountsView one={one} nameOf={nameOf} />
        </Suspense>
      )}
    </Figure>
  );
}

/** An assignment: its class, where submissions come in, and all of it to take away. */
export function AssignmentPage() {
  const { assignment: id } = useParams();
  const found = useAssignment(id!);
  if (found.data) return <AssignmentLeaf key={found.data.id} one={found.data} />;
  return (
    <Figure marginLabel="Beside the assignment" margin={null}>
      {found.isError ? (
        <Failed what="this assignment" error={found.error} retry={() => void found.refetch()} />
      ) : (
        <Loading what="the assignment" />
      )}
    </Figure>
  );
}

/** A new assignment; once it is made, one is on its page. */
export function NewAssignmentPage() {
  const navigate = useNavigate();
  return (
    <Figure marginLabel="Beside the assignment" margin={null}>
      <div className="max-w-[34rem] px-9 py-6 max-[899px]:px-4">
        <AssignmentForm
          one={null}
          saved={({ id }) => void navigate(`/assignments/${id}`, { replace: true })}
          close={() => void navigate('/')}
        />
      </div>
    </Figure>
  );
}
