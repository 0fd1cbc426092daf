import type { Member } from '#contracts';
import { useBeginning } from '../api';
import { Notice } from '../ui';
import { DemoMembers } from './DemoMembers';
import { PasswordForm } from './PasswordForm';

interface Props {
  member: Member;
  /** What was kept, in a sentence. */
  kept: string;
  /** Signed in as the same member again: what was held up can go on. */
  goOn: () => void;
}

/** In the margin when a session ran out in the middle of work: signing in beside it, without leaving the page. */
export function SignInAgain({ member, kept, goOn }: Props) {
  const beginning = useBeginning();
  const demo = beginning.data?.demoMembers?.filter(({ id }) => id === member.id);
  const enter = (who: Member) => {
    if (who.id === member.id) goOn();
    // Somebody else's desk: nothing of this page may be shown to them.
    else window.location.assign('/');
  };
  return (
    <Notice tone="warning" title="Your session has run out.">
      <p>{kept} Sign in here and go on.</p>
      <PasswordForm enter={enter} />
      {demo && <DemoMembers members={demo} enter={enter} />}
    </Notice>
  );
}
