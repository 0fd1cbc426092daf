import { useMutation } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import type { Member } from '#contracts';
import { call, inWords } from '#client/api';
import { Button, Notice, TextField } from '../ui';

interface Given {
  email: string;
  password: string;
}

/** E-mail and password; also used on the leaf when a session ran out in the middle of a draft. */
export function PasswordForm({ enter }: { enter: (member: Member) => void }) {
  const { register, handleSubmit } = useForm<Given>();
  const signIn = useMutation({ mutationFn: (body: Given) => call('signIn', { body }), onSuccess: enter });
  return (
    <form
      className="mt-4 grid gap-4"
      onSubmit={(event) => void handleSubmit((given) => signIn.mutate(given))(event)}
    >
      <TextField label="Email" type="email" autoComplete="username" required {...register('email')} />
      <TextField
        label="Password"
        type="password"
        autoComplete="current-password"
        required
        {...register('password')}
      />
      {signIn.isError && <Notice tone="warning" title={inWords(signIn.error)} />}
      <Button look="main" type="submit" disabled={signIn.isPending} className="justify-self-start">
        Sign in
      </Button>
    </form>
  );
}
