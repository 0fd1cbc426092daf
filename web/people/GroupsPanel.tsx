import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { Group, Team } from '#contracts';
import { call, inWords } from '#client/api';
import { KEYS, queryClient } from '../api';
import { Button, NameForm, Notice, TextField, Tick } from '../ui';
import { FindPerson } from './FindPerson';
import { useNamed } from './useNamed';

const settled = () => {
  for (const queryKey of [KEYS.team, KEYS.bank]) void queryClient.invalidateQueries({ queryKey });
};

/** So many names of a group are told. */
const TOLD = 12;
const toldOf = (names: readonly string[]) =>
  names.length === 0
    ? 'Nobody yet'
    : names.slice(0, TOLD).join(', ') + (names.length > TOLD ? `, and ${names.length - TOLD} more` : '');

interface EditorProps {
  group: Group;
  team: Team;
  close: () => void;
}

/** A group's name and who is in it. */
function GroupEditor({ group, team, close }: EditorProps) {
  const [name, setName] = useState(group.name);
  const [members, setMembers] = useState<readonly string[]>(group.members);
  // Those who were in it come first: they are what one changes, and a team may be long.
  const was = new Set(group.members);
  const named = useNamed(
    team.members
      .filter(({ id, left }) => !left || was.has(id))
      .sort((a, b) => Number(was.has(b.id)) - Number(was.has(a.id))),
    ({ name: called, job }) => `${called} ${job}`,
  );
  const done = () => {
    settled();
    close();
  };
  const params = { group: group.id };
  const save = useMutation({
    mutationFn: () => call('saveGroup', { params, body: { name, members: [...members] } }),
    onSuccess: done,
  });
  const drop = useMutation({ mutationFn: () => call('dropGroup', { params }), onSuccess: done });
  const error = save.error ?? drop.error;
  const toggle = (id: string) =>
    setMembers(members.includes(id) ? members.filter((one) => one !== id) : [...members, id]);
  return (
    <form
      aria-label={`The group ${group.name}`}
      className="grid gap-2 border-l-2 border-leaf py-1 pl-3"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <TextField
        label="Name of the group"
        value={name}
        maxLength={80}
        onChange={({ target }) => setName(target.value)}
      />
      <FindPerson named={named} />
      <div className="grid max-h-72 gap-1 overflow-y-auto">
        {named.shown.map(({ id, name: called, left }) => (
          <Tick key={id} on={members.includes(id)} toggle={() => toggle(id)}>
            {called}
            {left && <span className="text-soft"> (has left)</span>}
          </Tick>
        ))}
      </div>
      {error && <Notice tone="warning" title={inWords(error)} />}
      <p className="flex flex-wrap gap-2">
        <Button type="submit" disabled={save.isPending || name.trim() === ''}>
          Save the group
        </Button>
        <Button disabled={drop.isPending} onClick={() => drop.mutate()}>
          Delete the group
        </Button>
        <Button look="text" onClick={close}>
          Close
        </Button>
      </p>
      <p className="text-[12.5px] text-soft">
        Its members stay; anything shared with the group is no longer shared.
      </p>
    </form>
  );
}

/** The groups of the team. */
export function GroupsPanel({ team, isOwner }: { team: Team; isOwner: boolean }) {
  const [open, setOpen] = useState<string | null>(null);
  const nameOf = (id: string) => team.members.find((one) => one.id === id)?.name ?? 'someone';
  const make = useMutation({
    mutationFn: (name: string) => call('makeGroup', { body: { name, members: [] } }),
    onSuccess: ({ id }) => {
      settled();
      setOpen(id);
    },
  });
  return (
    <section aria-label="Groups" className="grid gap-3">
      <h2 className="section-head">Groups</h2>
      {team.groups.length === 0 && <p className="text-[14px] text-soft">There are none yet.</p>}
      <ul className="grid gap-2">
        {team.groups.map((group) => (
          <li key={group.id} className="border-b border-hair pb-2 text-[14px]">
            {open === group.id ? (
              <GroupEditor group={group} team={team} close={() => setOpen(null)} />
            ) : (
              <div className="flex items-baseline gap-3">
                <div className="min-w-0 grow">
                  <span className="font-medium break-words">{group.name}</span>
                  <span className="block text-[13px] text-soft">{toldOf(group.members.map(nameOf))}</span>
                </div>
                {isOwner && (
                  <Button look="text" aria-label={`Change ${group.name}`} onClick={() => setOpen(group.id)}>
                    Change
                  </Button>
                )}
              </div>
            )}
          </li>
        ))}
      </ul>
      {isOwner && (
        <NameForm
          // Made, its field is empty again.
          key={team.groups.length}
          label="A new group"
          pending={make.isPending}
          error={make.error ? inWords(make.error) : undefined}
          make={(name) => make.mutate(name)}
        />
      )}
    </section>
  );
}
