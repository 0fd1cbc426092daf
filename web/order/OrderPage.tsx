import { Link } from 'react-router';
import { useBank, useBankIndex } from '../api';
import { Figure } from '../shell';
import { Failed, Loading } from '../ui';
import { AlikeSection, SharedEndsSection } from '../doubles';
import { PersonalSection } from '../personal';
import { RewordedSection } from '../rewording';
import { TypedAgainSection } from '../phrases';

const OTHERS = [
  ['/order/words', 'House style'],
  ['/order/term', 'Change a term everywhere'],
  ['/order/ageing', 'Due for review'],
  ['/bank/nearest', 'Find wording for a message'],
  ['/practice', 'Practise cues'],
] as const;

/** The bank kept in order: what is doubled in it, and what it lacks. */
export function OrderPage() {
  const bank = useBank();
  const index = useBankIndex();
  return (
    <Figure
      marginLabel="About order"
      margin={
        <div className="grid gap-3 pt-6 text-[14px] text-soft">
          <nav aria-label="More order" className="grid gap-1">
            {OTHERS.map(([to, words]) => (
              <Link key={to} to={to} className="text-elder underline">
                {words}
              </Link>
            ))}
          </nav>
          <p>
            Merging moves cues, tags, files, notes and history to one entry. Drafts that have the others are
            offered it. The others go to the wastebasket.
          </p>
        </div>
      }
    >
      <h1 className="px-9 pt-6 pb-4 font-book text-[26px] leading-tight max-[899px]:px-4">Tidy the bank</h1>
      {bank.isError && <Failed what="the bank" error={bank.error} retry={() => void bank.refetch()} />}
      {!index && !bank.isError && <Loading what="the bank" />}
      {index && (
        <>
          <AlikeSection index={index} />
          <SharedEndsSection index={index} />
          <TypedAgainSection />
          <RewordedSection index={index} />
          <PersonalSection index={index} />
        </>
      )}
    </Figure>
  );
}
