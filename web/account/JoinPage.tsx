import { useForm } from 'react-hook-form';
import { call } from '#client/api';
import { TextField } from '../ui';
import { NewPasswordField } from './NewPasswordField';
import { Answering, LetterPage, useAnswer } from './LetterPage';
import { useLetter } from './useLetter';

interface Given {
  name: string;
  password: string;
}

function Form({ token, name, email }: { token: string; name: string; email: string }) {
  const { register, handleSubmit } = useForm<Given>({ defaultValues: { name, password: '' } });
  const { answer, faultOf, said } = useAnswer((given: Given) => call('join', { body: { token, ...given } }));
  return (
    <form
      className="mt-3 grid gap-4"
      noValidate
      onSubmit={(event) => void handleSubmit((given) => answer.mutate(given))(event)}
    >
      <p className="text-soft">You will sign in as {email}.</p>
      <TextField label="Your name" autoComplete="name" error={faultOf('name')} {...register('name')} />
      <input type="hidden" autoComplete="username" value={email} readOnly />
      <NewPasswordField label="Password" error={faultOf('password')} {...register('password')} />
      <Answering said={said} pending={answer.isPending}>
        Join the team
      </Answering>
    </form>
  );
}

/** Where an invitation leads: a name, a password, and one is of the team. */
export function JoinPage() {
  const { token, letter } = useLetter();
  return (
    <LetterPage title="Join your team" letter={letter}>
      {({ name, email }) => <Form token={token} name={name} email={email} />}
    </LetterPage>
  );
}
