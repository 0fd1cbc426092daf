import { Figure } from '../shell';
import { LeftAlone } from './LeftAlone';
import { PageCards } from './PageCards';

/** The bank on pages of others: what the companion does there, and the pages that it leaves alone for all of the team. */
export function OtherPagesPage() {
  return (
    <Figure
      marginLabel="What the companion may do"
      margin={
        <div className="grid gap-2 pt-6 text-[14px] text-soft">
          <h2 className="section-head">What it may do</h2>
          <p>
            It reads the bank and counts uses. It sees no texts and no people but the one who joined it; a
            case only when it is open in this browser and one fills an entry from it.
          </p>
          <p>
            It works on pages that its user has allowed, one by one, and makes no request but to this
            Elderleaf.
          </p>
          <p>
            What is typed on a page stays there. Each joined browser is seen on its member&rsquo;s account,
            and ended there.
          </p>
        </div>
      }
    >
      <div className="grid gap-5 px-9 py-6 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight">Other pages</h1>
        <p className="text-[15px]">
          The companion is an extension of the browser. It brings cues, blanks and the look-up into mail,
          course boards, chats and record systems.{' '}
          <code className="font-cue text-[13px]">npm run companion</code> builds it; each member joins a
          browser on <em>Your account</em>.
        </p>
        <section aria-label="Pages left alone" className="grid gap-3">
          <h2 className="section-head">Pages left alone</h2>
          <LeftAlone />
        </section>
        <PageCards />
      </div>
    </Figure>
  );
}
