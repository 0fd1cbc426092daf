import { mergedSettings } from '#core/difference';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { Group, Team } from '#contracts';
import { call, inWords } from '#client/api';
import { KEYS, queryClient } from '../api';
import { Button, NameForm, Notice, Overtaken, TextField, Tick, useFocusNext, useUnsaved } from '../ui';
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

type GroupGiven = Pick<Group, 'name' | 'members'>;
const givenOf = ({ name, members }: Group): GroupGiven => ({ name, members });

/** Two changes of a group made one: both have put in and taken out whom they did; null where both gave it another name. */
function mergedGroups(mine: GroupGiven, base: GroupGiven, theirs: GroupGiven): GroupGiven | null {
  const named = mergedSettings({ name: mine.name }, { name: base.name }, { name: theirs.name });
  const putIn = mine.members.filter((id) => !base.members.includes(id) && !theirs.members.includes(id));
  const stays = (id: string) => mine.members.includes(id) || !base.members.includes(id);
  return named && { ...named, members: [...theirs.members.filter(stays), ...putIn] };
}

interface EditorProps {
  group: Group;
  team: Team;
  /** When the team was read. */
  readAt: number;
  close: () => void;
}

/** A group's name and who is in it: what another owner changes of it meanwhile is made one with what is changed here. */
function GroupEditor({ group, team, readAt, close }: EditorProps) {
  const unsaved = useUnsaved(givenOf(group), readAt, mergedGroups);
  const { name, members } = unsaved.value;
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
    mutationFn: () => call('saveGroup', { params, body: unsaved.value }),
    onSuccess: done,
  });
  const drop = useMutation({ mutationFn: () => call('dropGroup', { params }), onSuccess: done });
  const error = save.error ?? drop.error;
  const toggle = (id: string) =>
    unsaved.set({
      name,
      members: members.includes(id) ? members.filter((one) => one !== id) : [...members, id],
    });
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
        autoFocus
        value={name}
        maxLength={80}
        onChange={({ target }) => unsaved.set({ name: target.value, members })}
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
      {unsaved.overtaken && <Overtaken {...unsaved} />}
      {error && <Notice tone="warning" title={inWords(error)} />}
      <p className="flex flex-wrap gap-2">
        <Button type="submit" disabled={save.isPending || unsaved.overtaken || name.trim() === ''}>
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
export function GroupsPanel({ team, readAt, isOwner }: { team: Team; readAt: number; isOwner: boolean }) {
  const [made, setMade] = useState(0);
  const [open, setOpen] = useState<string | null>(null);
  const focusNext = useFocusNext();
  const close = (group: string) => {
    setOpen(null);
    focusNext(() => document.getElementById(`change-${group}`));
  };
  const nameOf = (id: string) => team.members.find((one) => one.id === id)?.name ?? 'someone';
  const make = useMutation({
    mutationFn: (name: string) => call('makeGroup', { body: { name, members: [] } }),
    onSuccess: ({ id }) => {
      settled();
      setMade(made + 1);
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
              <GroupEditor {...{ group, team, readAt }} close={() => close(group.id)} />
            ) : (
              <div className="flex items-baseline gap-3">
                <div className="min-w-0 grow">
                  <span className="font-medium break-words">{group.name}</span>
                  <span className="block text-[13px] text-soft">{toldOf(group.members.map(nameOf))}</span>
                </div>
                {isOwner && (
                  <Button
                    id={`change-${group.id}`}
                    look="text"
                    aria-label={`Change ${group.name}`}
                    onClick={() => setOpen(group.id)}
                  >
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
          key={made}
          label="A new group"
          pending={make.isPending}
          error={make.error ? inWords(make.error) : undefined}
          make={(name) => make.mutate(name)}
        />
      )}
    </section>
  );
}
