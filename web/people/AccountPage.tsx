import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import type { Member } from '#contracts';
import { NewPasswordField } from '../account';
import { TakeTexts } from '../finished';
import { call, inWords } from '#client/api';
import { KEYS, queryClient, useTeam } from '../api';
import { Figure, useShell } from '../shell';
import { Button, Notice, TextField } from '../ui';
import { DetailsForm } from './DetailsForm';
import { JoinBrowser } from './JoinBrowser';
import { LeavingForm } from './LeavingForm';
import { SessionsPanel } from './SessionsPanel';
import { SignaturesForm } from './SignaturesForm';

interface Passwords {
  old: string;
  password: string;
}

function PasswordChange() {
  const { register, handleSubmit, reset } = useForm<Passwords>({ defaultValues: { old: '', password: '' } });
  const change = useMutation({
    mutationFn: (body: Passwords) => call('changePassword', { body }),
    onSuccess: () => {
      reset();
      void queryClient.invalidateQueries({ queryKey: KEYS.sessions });
    },
  });
  return (
    <form
      aria-label="Change your password"
      className="grid gap-4 border-t border-hair px-9 py-5 max-[899px]:px-4"
      onSubmit={(event) => void handleSubmit((given) => change.mutate(given))(event)}
    >
      <h2 className="section-head">Password</h2>
      <TextField
        label="Current password"
        type="password"
        autoComplete="current-password"
        required
        {...register('old')}
      />
      <NewPasswordField label="New password" required {...register('password')} />
      {change.error && <Notice tone="warning" title={inWords(change.error)} />}
      {change.isSuccess && <Notice title="Your password is changed. You are signed out everywhere else." />}
      <Button type="submit" disabled={change.isPending} className="justify-self-start">
        Change the password
      </Button>
    </form>
  );
}

/** For who leaves of their own will, or gives what they keep into other hands. */
function Leaving({ member }: { member: Member }) {
  const [open, setOpen] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const team = useTeam();
  const people = team.data?.members.filter(({ left }) => !left) ?? [];
  return (
    <section aria-label="Leaving" className="border-t border-hair px-9 py-5 max-[899px]:px-4">
      {said && <Notice title={said} />}
      {open ? (
        <LeavingForm person={member} people={people} done={setSaid} close={() => setOpen(false)} />
      ) : (
        <Button look="text" onClick={() => setOpen(true)}>
          Hand over what you keep, or leave the team
        </Button>
      )}
    </section>
  );
}

/** One's own account: the details that sign wording, the password, the places one is signed in. */
export function AccountPage() {
  const { member } = useShell();
  return (
    <Figure
      marginLabel="Where you are signed in"
      margin={
        <>
          <SessionsPanel />
          <JoinBrowser />
        </>
      }
    >
      <h1 className="px-9 pt-6 font-book text-[26px] leading-tight max-[899px]:px-4">Your account</h1>
      <DetailsForm member={member} />
      <SignaturesForm />
      <PasswordChange />
      <section aria-label="Your texts" className="grid gap-3 border-t border-hair px-9 py-5 max-[899px]:px-4">
        <h2 className="section-head">Your texts</h2>
        <p className="text-[14px] text-soft">
          Your finished texts of all your cases, closed ones too, in one archive (zip): a file for each.
        </p>
        <TakeTexts of={null} label="Download your finished texts" name="Finished texts" />
      </section>
      <Leaving member={member} />
    </Figure>
  );
}
