import { useMutation } from '@tanstack/react-query';
import type { Group, Invitation } from '#contracts';
import { call, inWords } from '#client/api';
import { KEYS, queryClient } from '../api';
import { instantInWords } from '#client/clock';
import { Button, Notice } from '../ui';

interface Props {
  invitations: readonly Invitation[];
  groups: readonly Group[];
  /** Whether emails go out; else they wait in the post room. */
  byEmail: boolean;
  say: (words: string) => void;
}

/** Who is invited and has not come yet. */
export function InvitationsList({ invitations, groups, byEmail, say }: Props) {
  const settled = () => void queryClient.invalidateQueries({ queryKey: KEYS.people });
  const again = useMutation({
    mutationFn: ({ id }: Invitation) => call('inviteAgain', { params: { invitation: id } }),
    onSuccess: ({ name }) =>
      say(
        byEmail
          ? `A new email is on its way to ${name}; the link in the old one no longer works.`
          : `A new email to ${name} waits in the post room: pass its link on. The link in the old one no longer works.`,
      ),
    onSettled: settled,
  });
  const withdraw = useMutation({
    mutationFn: ({ id }: Invitation) => call('withdrawInvitation', { params: { invitation: id } }),
    onSuccess: (_, { name }) => say(`The invitation of ${name} is withdrawn.`),
    onSettled: settled,
  });
  const isBusy = again.isPending || withdraw.isPending;
  const error = again.error ?? withdraw.error;
  if (invitations.length === 0) return null;
  const namesOf = (ids: readonly string[]) =>
    groups.filter(({ id }) => ids.includes(id)).map(({ name }) => name);
  return (
    <section aria-labelledby="invited" className="pb-4">
      <h2 id="invited" className="eyebrow px-9 pt-5 pb-1 max-[899px]:px-4">
        Invited
      </h2>
      {error && <Notice tone="warning" title={inWords(error)} />}
      <ul>
        {invitations.map((one) => (
          <li key={one.id} className="border-b border-hair px-9 py-2.5 max-[899px]:px-4">
            <div className="flex flex-wrap items-baseline gap-x-4">
              <span className="font-book text-[17px] break-words">{one.name}</span>
              <span className="grow text-[13px] text-soft">
                {[one.email, one.role === 'owner' && 'as an owner', ...namesOf(one.groups)]
                  .filter(Boolean)
                  .join(' · ')}
              </span>
              <Button look="text" disabled={isBusy} onClick={() => again.mutate(one)}>
                Send again
              </Button>
              <Button look="text" disabled={isBusy} onClick={() => withdraw.mutate(one)}>
                Withdraw
              </Button>
            </div>
            <p className="text-[13px] text-soft">
              {one.sentBy ?? 'Someone'}, {instantInWords(one.sentAt)}; the link works until{' '}
              {instantInWords(one.endsAt)}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
