import { useState } from 'react';
import { Navigate, useLocation, useNavigate } from 'react-router';
import type { Member } from '#contracts';
import { KEYS, queryClient, useBeginning, useSession } from '../api';
import { Failed, Loading } from '../ui';
import { DemoMembers } from './DemoMembers';
import { ForgottenPassword } from './ForgottenPassword';
import { FrontLeaf } from './FrontLeaf';
import { OwnerForm } from './OwnerForm';
import { PasswordForm } from './PasswordForm';

/** The first page: sign in, or make the owner's account when there is none yet. */
export function SignIn() {
  const beginning = useBeginning();
  const session = useSession();
  const navigate = useNavigate();
  const [hasBegun, setBegun] = useState(false);
  const from = (useLocation().state as { from?: string } | null)?.from ?? '/';
  const enter = (member: Member) => {
    queryClient.setQueryData(KEYS.session, member);
    void navigate(from, { replace: true });
  };
  // An owner of nothing yet goes where a team begins.
  const begin = (member: Member) => {
    setBegun(true);
    queryClient.setQueryData(KEYS.session, member);
    void navigate('/beginning', { replace: true });
  };
  if (session.data) return <Navigate to={hasBegun ? '/beginning' : from} replace />;
  if (beginning.isPending) return <Loading what="the team" />;
  if (beginning.isError)
    return <Failed what="the team" error={beginning.error} retry={() => void beginning.refetch()} />;
  const { ownerNeeded, demoMembers } = beginning.data;
  return (
    <FrontLeaf title={ownerNeeded ? 'Begin your bank' : 'Sign in'}>
      {ownerNeeded ? (
        <OwnerForm enter={begin} />
      ) : (
        <>
          <PasswordForm enter={enter} />
          <ForgottenPassword />
        </>
      )}
      {demoMembers && <DemoMembers members={demoMembers} enter={enter} />}
    </FrontLeaf>
  );
}
