import { useMutation } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { Link } from 'react-router';
import type { Person, Team } from '#contracts';
import { ApiProblem, call, inWords } from '#client/api';
import { KEYS, queryClient, usePeople } from '../api';
import { Button, Notice, SelectField, TextField } from '../ui';

interface Given {
  name: string;
  email: string;
  role: Person['role'];
  groups: string[];
}

/** Invites someone by a letter. */
export function InviteForm({ team }: { team: Team }) {
  const start: Given = { name: '', email: '', role: 'member', groups: [] };
  const { register, handleSubmit, reset, setFocus } = useForm<Given>({ defaultValues: start });
  const byEmail = usePeople().data?.byEmail ?? true;
  const invite = useMutation({
    mutationFn: (body: Given) => call('invite', { body }),
    onSuccess: () => {
      reset(start);
      setFocus('name');
      void queryClient.invalidateQueries({ queryKey: KEYS.people });
    },
  });
  const faults = invite.error instanceof ApiProblem ? (invite.error.problem.faults ?? []) : [];
  const faultOf = (place: string) => faults.find((fault) => fault.place === place)?.message;
  return (
    <form
      aria-label="Invite someone"
      noValidate
      className="grid gap-3"
      onSubmit={(event) => void handleSubmit((given) => invite.mutate(given))(event)}
    >
      <h2 className="section-head">Invite someone</h2>
      <TextField label="Name" error={faultOf('name')} {...register('name')} />
      <TextField label="Email" type="email" error={faultOf('email')} {...register('email')} />
      <SelectField label="Role" {...register('role')}>
        <option value="member">member</option>
        <option value="owner">owner, who manages people</option>
      </SelectField>
      {team.groups.length > 0 && (
        <fieldset>
          <legend className="eyebrow">Add to groups</legend>
          {/* Many groups must not push what sends the letter out of sight. */}
          <div className="grid max-h-40 gap-1 overflow-y-auto">
            {team.groups.map(({ id, name }) => (
              <label key={id} className="flex min-h-6 items-center gap-2 text-[14px]">
                <input type="checkbox" value={id} className="accent-elder" {...register('groups')} />
                {name}
              </label>
            ))}
          </div>
        </fieldset>
      )}
      {invite.error && <Notice tone="warning" title={inWords(invite.error)} />}
      {invite.data && (
        <Notice title={`${invite.data.name} is invited.`}>
          {byEmail ? (
            'The email is on its way.'
          ) : (
            <>
              The email waits in the{' '}
              <Link to="/post" className="text-elder underline">
                post room
              </Link>
              : pass its link on.
            </>
          )}
        </Notice>
      )}
      <Button type="submit" look="main" disabled={invite.isPending} className="justify-self-start">
        Invite
      </Button>
    </form>
  );
}
