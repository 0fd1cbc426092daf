import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { Case, CaseChange } from '#contracts';
import { call, inWords } from '#client/api';
import { useNavigate } from 'react-router';
import { OWN_ACCOUNT } from '#core/signing';
import { KEYS, queryClient, usePreferences, useTeam } from '../api';
import { useSavePreferences } from '../offers';
import { useShell } from '../shell';
import { ActingSelect, Button, Notice, TextField } from '../ui';

/** Changes a case for all it is given to. */
function useCaseChange({ id }: Case) {
  const navigate = useNavigate();
  return useMutation({
    mutationFn: (body: CaseChange) => call('changeCase', { params: { case: id }, body }),
    onSuccess: async (now) => {
      void queryClient.invalidateQueries({ queryKey: KEYS.cases });
      if (now) queryClient.setQueryData(KEYS.case(id), now);
      // Let go of, it is not ours to look at any more.
      else await navigate('/');
    },
  });
}

/** Who has it, and giving it to another. */
function Given({ one, change }: { one: Case; change: (change: CaseChange) => void }) {
  const members = useTeam().data?.members ?? [];
  const { member } = useShell();
  const nameOf = (id: string) => members.find((one) => one.id === id)?.name ?? 'Somebody';
  const others = members.filter(({ id, left }) => !left && !one.given.includes(id));
  return (
    <div>
      {others.length > 0 && (
        <ActingSelect label="Give it to" value="" act={(to) => to && change({ do: 'give', to })}>
          <option value="">a colleague</option>
          {others.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </ActingSelect>
      )}
      <p className="mt-2 text-[13px] text-soft">On the desk of</p>
      <ul aria-label="On the desk of" className="text-[14px]">
        {one.given.map((id) => (
          <li key={id} className="flex min-h-6 flex-wrap items-baseline gap-x-3">
            {nameOf(id)}
            {one.given.length > 1 && (
              <Button look="text" onClick={() => change({ do: 'take-back', from: id })}>
                {id === member.id ? 'Leave this case' : 'Take the case back'}
                {id !== member.id && <span className="sr-only"> from {nameOf(id)}</span>}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** With which of one's own details wording is signed in this case; nothing where one has but those of the account. */
function SignedWith({ one }: { one: Case }) {
  const { signatures = [], signs = {} } = usePreferences().data ?? {};
  const save = useSavePreferences();
  if (signatures.length === 0) return null;
  const choose = (id: string) =>
    save.mutate(({ signs: before = {}, ...others }) => {
      const { [one.id]: _, ...rest } = before;
      return { ...others, signs: id === '' ? rest : { ...rest, [one.id]: id } };
    });
  return (
    <ActingSelect label="Sign this case with" value={signs[one.id] ?? ''} act={choose}>
      <option value="">what is set for its work and collections</option>
      <option value={OWN_ACCOUNT}>the details of your account</option>
      {signatures.map(({ id, label }) => (
        <option key={id} value={id}>
          {label}
        </option>
      ))}
    </ActingSelect>
  );
}

/** What a case is called, who has it, and whether it is closed: changed for all it is given to. */
export function AboutCase({ one }: { one: Case }) {
  const change = useCaseChange(one);
  // What is not written on follows what colleagues make of it: else a new number would bring back the old title.
  const [written, write] = useState<{ title?: string; number?: string }>({});
  const { title = one.title, number = one.number ?? '' } = written;
  const isRenamed = title.trim() !== one.title || number.trim() !== (one.number ?? '');
  return (
    <section aria-label="About this case" className="grid gap-3 px-9 pb-4 max-[899px]:px-4" data-print="no">
      <form
        className="grid grid-cols-[1fr_10rem_auto] items-end gap-4 max-[899px]:grid-cols-1"
        onSubmit={(event) => {
          event.preventDefault();
          change.mutate(
            { do: 'rename', title, number: number.trim() || null },
            { onSuccess: () => write({}) },
          );
        }}
      >
        <TextField
          label="Title"
          maxLength={200}
          value={title}
          onChange={({ target }) => write({ ...written, title: target.value })}
        />
        <TextField
          label="Case number"
          maxLength={60}
          value={number}
          onChange={({ target }) => write({ ...written, number: target.value })}
        />
        <Button type="submit" disabled={!isRenamed || title.trim() === '' || change.isPending}>
          Rename
        </Button>
      </form>
      <Given one={one} change={change.mutate} />
      <SignedWith one={one} />
      <p className="flex flex-wrap items-baseline gap-3 text-[13px] text-soft">
        <Button
          disabled={change.isPending}
          onClick={() => change.mutate({ do: one.closed ? 'reopen' : 'close' })}
        >
          {one.closed ? 'Reopen the case' : 'Close the case'}
        </Button>
        {one.closed
          ? 'This case is closed. On the desk it is listed under Closed.'
          : 'A closed case is listed under Closed on the desk. Nothing in it changes.'}
      </p>
      {change.error && <Notice tone="warning" title={inWords(change.error)} />}
    </section>
  );
}
