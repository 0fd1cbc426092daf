import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { Member, OwnDetails } from '#contracts';
import { ApiProblem, call, inWords } from '#client/api';
import { isSame } from '#core/difference';
import { KEYS, queryClient } from '../api';
import { Button, Notice, TextField } from '../ui';

/** What is typed over the details that are saved, by what it is. */
type Typed = Partial<OwnDetails>;

/** Without what was saved as it is typed: what was typed on meanwhile stays to be saved. */
function withoutSaved(typed: Typed, saved: OwnDetails): Typed {
  const left: Typed = {};
  for (const part of ['name', 'job', 'phone'] as const)
    if (typed[part] !== undefined && typed[part] !== saved[part]) left[part] = typed[part];
  return left;
}

/** One's own name, job and phone. What is typed stays until it is saved, whatever is saved elsewhere meanwhile. */
export function DetailsForm({ member }: { member: Member }) {
  const { name, job, phone } = member;
  const saved = { name, job, phone };
  const [typed, setTyped] = useState<Typed>({});
  const shown = { ...saved, ...typed };
  const isChanged = !isSame(shown, saved);
  const save = useMutation({
    mutationFn: (body: OwnDetails) => call('saveOwnDetails', { body }),
    onSuccess: (now, sent) => {
      queryClient.setQueryData(KEYS.session, now);
      setTyped((before) => withoutSaved(before, sent));
    },
  });
  const faults = save.error instanceof ApiProblem ? (save.error.problem.faults ?? []) : [];
  const line = (part: keyof OwnDetails) => ({
    value: shown[part],
    error: faults.find(({ place }) => place === part)?.message,
    onChange: ({ target }: { target: { value: string } }) => setTyped({ ...typed, [part]: target.value }),
  });
  return (
    <form
      aria-label="Your details"
      noValidate
      className="grid gap-4 px-9 py-5 max-[899px]:px-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (isChanged && !save.isPending) save.mutate(shown);
      }}
    >
      <p className="text-[14px] text-soft">
        Shared wording is signed with these: the wording is the same for all, the name at its foot is yours.
      </p>
      <TextField label="Name" autoComplete="name" {...line('name')} />
      <TextField label="Job title" maxLength={100} {...line('job')} />
      <TextField label="Phone" autoComplete="tel" maxLength={60} {...line('phone')} />
      <p className="text-[13px] text-soft">You sign in as {member.email}.</p>
      {save.error && faults.length === 0 && <Notice tone="warning" title={inWords(save.error)} />}
      {save.isSuccess && !isChanged && <Notice title="Saved." />}
      <Button
        look="main"
        type="submit"
        disabled={!isChanged || save.isPending}
        className="justify-self-start"
      >
        Save your details
      </Button>
    </form>
  );
}
