import { Navigate, useLocation, useNavigate } from 'react-router';
import type { Member } from '#contracts';
import { KEYS, queryClient, useBeginning, useSession } from '../api/queries';
import { Failed, Loading } from '../ui';
import { DemoMembers } from './DemoMembers';
import { OwnerForm } from './OwnerForm';
import { PasswordForm } from './PasswordForm';

/** The first page: sign in, or make the owner's account when there is none yet. */
export function SignIn() {
  const beginning = useBeginning();
  const session = useSession();
  const navigate = useNavigate();
  const from = (useLocation().state as { from?: string } | null)?.from ?? '/';
  const enter = (member: Member) => {
    queryClient.setQueryData(KEYS.session, member);
    void navigate(from, { replace: true });
  };
  if (session.data) return <Navigate to={from} replace />;
  if (beginning.isPending) return <Loading what="the team" />;
  if (beginning.isError)
    return <Failed what="the team" error={beginning.error} retry={() => void beginning.refetch()} />;
  const { ownerNeeded, demoMembers } = beginning.data;
  return (
    <main className="mx-auto grid min-h-screen max-w-md content-center px-6 py-10">
      <div className="leaf-page p-8">
        <p className="flex items-center gap-2 font-book text-xl font-semibold text-elder">
          <img src="/leaf.svg" alt="" width={22} height={22} /> Elderleaf
        </p>
        <h1 className="mt-5 font-book text-[26px] leading-tight">
          {ownerNeeded ? 'Begin your bank' : 'Sign in'}
        </h1>
        {ownerNeeded ? <OwnerForm enter={enter} /> : <PasswordForm enter={enter} />}
        {demoMembers && <DemoMembers members={demoMembers} enter={enter} />}
      </div>
    </main>
  );
}
