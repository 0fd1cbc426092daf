import { useForm } from 'react-hook-form';
import { call } from '#client/api';
import { NewPasswordField } from './NewPasswordField';
import { Answering, LetterPage, useAnswer } from './LetterPage';
import { useLetter } from './useLetter';

function Form({ token, email }: { token: string; email: string }) {
  const { register, handleSubmit } = useForm({ defaultValues: { password: '' } });
  const { answer, faultOf, said } = useAnswer((given: { password: string }) =>
    call('newPassword', { body: { token, ...given } }),
  );
  return (
    <form
      className="mt-3 grid gap-4"
      noValidate
      onSubmit={(event) => void handleSubmit((given) => answer.mutate(given))(event)}
    >
      <p className="text-soft">For {email}. It signs you out everywhere else.</p>
      <input type="hidden" autoComplete="username" value={email} readOnly />
      <NewPasswordField label="New password" error={faultOf('password')} {...register('password')} />
      <Answering said={said} pending={answer.isPending}>
        Save and sign in
      </Answering>
    </form>
  );
}

/** Where a letter for a new password leads. */
export function NewPasswordPage() {
  const { token, letter } = useLetter();
  return (
    <LetterPage title="Choose a new password" letter={letter}>
      {({ email }) => <Form token={token} email={email} />}
    </LetterPage>
  );
}
