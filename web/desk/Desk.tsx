import { Link } from 'react-router';
import type { CaseSummary } from '#contracts';
import { useCases } from '../api/queries';
import { instantInWords } from '../clock/calendarToday';
import { Figure } from '../shell/Figure';
import { useShell } from '../shell/ShellContext';
import { Failed, Loading } from '../ui';
import { DeletedDraft } from './DeletedDraft';
import { DropBundle } from './DropBundle';

const KINDS: Record<CaseSummary['kind'], string> = {
  admission: 'Admission',
  feedback: 'Field report',
  transcript: 'Recording',
  reply: 'Enquiry',
};

const GROUPS = [
  { state: 'open', title: 'Unfinished' },
  { state: 'none', title: 'Not begun' },
  { state: 'finished', title: 'Finished' },
] as const;

function CaseLine({ one }: { one: CaseSummary }) {
  const day = new Date(one.openedAt).toLocaleDateString(undefined, { day: 'numeric', month: 'short' });
  return (
    <li className="border-b border-hair last:border-0">
      <Link
        to={`/cases/${one.id}`}
        className="group grid grid-cols-[1fr_auto] gap-x-6 px-7 py-3 max-[899px]:px-4"
      >
        <span className="min-w-0 font-book text-[18px] leading-snug break-words group-hover:text-elder">
          {one.title}
        </span>
        <span className="text-[13px] text-soft">
          {KINDS[one.kind]}
          {one.number && ` ${one.number}`}
        </span>
        <span className="line-clamp-1 text-[14px] text-soft">
          {one.draft ? one.draft.excerpt || 'An empty draft' : one.summary || 'No reason given'}
        </span>
        <span className="text-right text-[13px] text-soft">
          {one.draft ? `saved ${instantInWords(one.draft.savedAt)}` : day}
        </span>
      </Link>
    </li>
  );
}

function Groups({ cases }: { cases: CaseSummary[] }) {
  if (cases.length === 0) {
    return (
      <p className="px-7 py-8 text-soft">
        No case has been given to you yet. Drop a FHIR Bundle in the margin to make one, or look into the
        bank.
      </p>
    );
  }
  return GROUPS.map(({ state, title }) => {
    const here = cases.filter((one) => (one.draft?.state ?? 'none') === state);
    if (here.length === 0) return null;
    return (
      <section key={state} aria-label={title} className="pb-3">
        <h2 className="eyebrow border-b border-hair px-7 pt-4 pb-1.5 max-[899px]:px-4">{title}</h2>
        <ul>
          {here.map((one) => (
            <CaseLine key={one.id} one={one} />
          ))}
        </ul>
      </section>
    );
  });
}

/** The desk: the cases given to me, what is unfinished first. */
export function Desk() {
  const { member } = useShell();
  const cases = useCases();
  return (
    <Figure marginLabel="Beside the desk" margin={<DropBundle />}>
      <h1 className="px-7 pt-6 pb-1 font-book text-[26px] leading-tight max-[899px]:px-4">
        {member.name.split(' ')[0]}’s desk
      </h1>
      <DeletedDraft />
      {cases.isPending && <Loading what="your cases" />}
      {cases.isError && <Failed what="your cases" error={cases.error} retry={() => void cases.refetch()} />}
      {cases.data && <Groups cases={cases.data} />}
    </Figure>
  );
}
