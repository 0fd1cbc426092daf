import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { ChevronDown } from 'lucide-react';
import { Link } from 'react-router';
import type { Person, Team } from '#contracts';
import { call, inWords } from '#client/api';
import { KEYS, queryClient, usePeople, useTeam } from '../api';
import { instantInWords } from '#client/clock';
import { Figure, useShell } from '../shell';
import { Button, Failed, Loading, Menu, Notice } from '../ui';
import { FindPerson } from './FindPerson';
import { GroupsPanel } from './GroupsPanel';
import { InvitationsList } from './InvitationsList';
import { InviteForm } from './InviteForm';
import { LeavingForm } from './LeavingForm';
import { useNamed } from './useNamed';

const asked = () => {
  for (const queryKey of [KEYS.people, KEYS.team]) void queryClient.invalidateQueries({ queryKey });
};

interface RowProps {
  person: Person;
  people: readonly Person[];
  groups: Team['groups'];
  say: (words: string) => void;
}

const groupsOf = (id: string, groups: Team['groups']) =>
  groups
    .filter(({ members }) => members.includes(id))
    .map(({ name }) => name)
    .join(', ');

/** What an owner can do about someone of the team. */
function PersonRow({ person, people, groups, say }: RowProps) {
  const [leaving, setLeaving] = useState(false);
  const { id, name, role, job, email, phone, keeps, leftAt } = person;
  const act = useMutation({
    mutationFn: async ({ run }: { run: () => Promise<unknown>; said: string }) => run(),
    onSuccess: (_, { said }) => {
      say(said);
      asked();
    },
  });
  const member = { member: id };
  const toRole = (to: Person['role'], said: string) => () =>
    act.mutate({ run: () => call('changeRole', { params: member, body: { role: to } }), said });
  const letter = () =>
    act.mutate({
      run: () => call('sendPassword', { params: member }),
      said: `An email for a new password is on its way to ${name}.`,
    });
  const back = () =>
    act.mutate({ run: () => call('comeBack', { params: member }), said: `${name} is back in the team.` });
  const items = leftAt
    ? [{ label: 'Bring back', onSelect: back }]
    : [
        role === 'owner'
          ? { label: 'Make a member', onSelect: toRole('member', `${name} is a member now.`) }
          : { label: 'Make an owner', onSelect: toRole('owner', `${name} is an owner now.`) },
        { label: 'Email a link for a new password', onSelect: letter },
        { label: 'Hand over, or end the membership', onSelect: () => setLeaving(true) },
      ];
  return (
    <li className={`border-b border-hair px-9 py-3 max-[899px]:px-4 ${leftAt ? 'text-soft' : ''}`}>
      <div className="grid grid-cols-[minmax(0,1fr)_auto_auto] items-baseline gap-x-4">
        <div className="min-w-0">
          <span className="font-book text-[17px] break-words">{name}</span>{' '}
          <span className="text-[14px] text-soft">{job}</span>
        </div>
        <span className="text-[13px]">
          {leftAt ? `left ${instantInWords(leftAt)}` : role === 'owner' ? 'owner' : 'member'}
        </span>
        <Menu
          trigger={
            <Button look="text" aria-label={`Manage ${name}`}>
              Manage <ChevronDown size={13} aria-hidden />
            </Button>
          }
          items={items}
        />
      </div>
      <p className="text-[13px] break-words text-soft">
        {[
          email,
          phone,
          groupsOf(id, groups),
          keeps > 0 && `keeps ${keeps === 1 ? 'one collection' : `${keeps} collections`}`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      {act.error && <Notice tone="warning" title={inWords(act.error)} />}
      {leaving && !leftAt && (
        <LeavingForm person={person} people={people} done={say} close={() => setLeaving(false)} />
      )}
    </li>
  );
}

function Managed({ team }: { team: Team }) {
  const people = usePeople();
  const all = people.data?.members ?? [];
  const present = all.filter(({ leftAt }) => leftAt === null);
  const left = all.filter(({ leftAt }) => leftAt !== null);
  const named = useNamed([...present, ...left], ({ id, name, job, email, phone }) =>
    [name, job, email, phone, groupsOf(id, team.groups)].join(' '),
  );
  const [said, setSaid] = useState<string | null>(null);
  if (people.isError)
    return <Failed what="the people" error={people.error} retry={() => void people.refetch()} />;
  if (!people.data) return <Loading what="the people" />;
  const { invitations, byEmail } = people.data;
  return (
    <>
      {said && (
        <div className="px-9 pb-3 max-[899px]:px-4">
          <Notice title={said}>
            {!byEmail && (
              <Link to="/post" className="text-elder underline">
                To the post room
              </Link>
            )}
          </Notice>
        </div>
      )}
      <div className="px-9 max-[899px]:px-4">
        <FindPerson named={named} />
      </div>
      <ul aria-label="The team">
        {named.shown.map((person) => (
          <PersonRow key={person.id} person={person} people={present} groups={team.groups} say={setSaid} />
        ))}
      </ul>
      <InvitationsList {...{ invitations, byEmail }} groups={team.groups} say={setSaid} />
    </>
  );
}

function Listed({ team }: { team: Team }) {
  const named = useNamed(
    team.members.filter(({ left }) => !left),
    ({ id, name, job }) => [name, job, groupsOf(id, team.groups)].join(' '),
  );
  return (
    <>
      <div className="px-9 max-[899px]:px-4">
        <FindPerson named={named} />
      </div>
      <ul aria-label="The team">
        {named.shown.map(({ id, name, job }) => (
          <li key={id} className="border-b border-hair px-9 py-3 max-[899px]:px-4">
            <span className="font-book text-[17px] break-words">{name}</span>{' '}
            <span className="text-[14px] text-soft">{job}</span>
          </li>
        ))}
      </ul>
    </>
  );
}

/** Everyone of the team; for owners, what they can do about it. */
export function PeoplePage() {
  const { member } = useShell();
  const team = useTeam();
  const isOwner = member.role === 'owner';
  return (
    <Figure
      marginLabel="Inviting, and groups"
      margin={
        team.data && (
          <div className="grid gap-8 pt-6">
            {isOwner && <InviteForm team={team.data} />}
            <GroupsPanel readAt={team.dataUpdatedAt} team={team.data} isOwner={isOwner} />
          </div>
        )
      }
    >
      <header className="px-9 pt-6 pb-4 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight">People</h1>
        {!isOwner && <p className="text-[14px] text-soft">Owners of the team invite others.</p>}
      </header>
      {team.isError && <Failed what="the team" error={team.error} retry={() => void team.refetch()} />}
      {team.isPending && <Loading what="the team" />}
      {team.data && (isOwner ? <Managed team={team.data} /> : <Listed team={team.data} />)}
    </Figure>
  );
}
