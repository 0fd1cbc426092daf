import { useMutation } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import type { Member } from '#contracts';
import { ApiProblem, call, inWords } from '#client/api';
import { Button, Notice, TextField } from '../ui';
import { NewPasswordField } from './NewPasswordField';

interface Given {
  name: string;
  email: string;
  password: string;
}

/** The first account of a new team: its owner's. */
export function OwnerForm({ enter }: { enter: (member: Member) => void }) {
  const { register, handleSubmit } = useForm<Given>();
  const make = useMutation({ mutationFn: (body: Given) => call('makeOwner', { body }), onSuccess: enter });
  const faults = make.error instanceof ApiProblem ? (make.error.problem.faults ?? []) : [];
  const faultOf = (place: string) => faults.find((fault) => fault.place === place)?.message;
  return (
    <form
      className="mt-2 grid gap-4"
      noValidate
      onSubmit={(event) => void handleSubmit((given) => make.mutate(given))(event)}
    >
      <p className="text-soft">Nobody has an account here yet. Yours will own the team’s bank.</p>
      <TextField label="Your name" autoComplete="name" error={faultOf('name')} {...register('name')} />
      <TextField
        label="Email"
        type="email"
        autoComplete="username"
        error={faultOf('email')}
        {...register('email')}
      />
      <NewPasswordField label="Password" error={faultOf('password')} {...register('password')} />
      {make.isError && faults.length === 0 && <Notice tone="warning" title={inWords(make.error)} />}
      <Button look="main" type="submit" disabled={make.isPending} className="justify-self-start">
        Make the account
      </Button>
    </form>
  );
}
