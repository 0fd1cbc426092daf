import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import {
  formOfRules,
  readRules,
  USUAL_RULES,
  type RecordRules,
  type RulesFault,
  type RulesForm,
} from '#core/record';
import { call, inWords } from '#client/api';
import { KEYS, queryClient, useTeamSettings } from '../api';
import { Figure, useLiveKeys, useShell } from '../shell';
import { Button, Failed, Key, Loading, Notice } from '../ui';
import { CareRows } from './CareRows';
import type { FaultOf } from './faultOf';
import { OldRows } from './OldRows';
import { UsualRows } from './UsualRows';

/** The rules as they are typed over, and saving them. */
function useRulesForm(rules: RecordRules) {
  const [form, setForm] = useState<RulesForm>(() => formOfRules(rules));
  const [faults, setFaults] = useState<readonly RulesFault[]>([]);
  const save = useMutation({
    mutationFn: (records: RecordRules) => call('saveTeamSettings', { body: { records } }),
    onSuccess: (now) => queryClient.setQueryData(KEYS.teamSettings, now),
  });
  const put = (change: Partial<RulesForm>) => {
    if (save.isSuccess) save.reset();
    setForm((now) => ({ ...now, ...change }));
  };
  const submit = () => {
    const read = readRules(form, navigator.language);
    setFaults('faults' in read ? read.faults : []);
    if ('rules' in read) save.mutate(read.rules);
  };
  const faultOf: FaultOf = (list, row, field) =>
    faults.find((one) => one.list === list && one.row === row && one.field === field)?.words;
  return { form, put, faultOf, faults, save, submit };
}

function Rules({ rules, isOwner }: { rules: RecordRules; isOwner: boolean }) {
  const { form, put, faultOf, faults, save, submit } = useRulesForm(rules);
  useLiveKeys(isOwner ? [{ key: 'F9', does: 'Save the rules', run: submit }] : []);
  const send = (event: FormEvent) => {
    event.preventDefault();
    submit();
  };
  return (
    <form onSubmit={send} noValidate>
      <fieldset disabled={!isOwner} className="grid gap-8">
        <CareRows rows={form.care} put={(care) => put({ care })} faultOf={faultOf} />
        <UsualRows rows={form.usual} put={(usual) => put({ usual })} faultOf={faultOf} />
        <OldRows form={form} put={put} faultOf={faultOf} />
      </fieldset>
      {isOwner && (
        <div className="mt-6 flex flex-wrap items-baseline gap-4">
          <Button type="submit" disabled={save.isPending} aria-keyshortcuts="F9 Alt+X">
            Save <Key>F9</Key>
          </Button>
          <span role="status" className="text-[14px]">
            {save.isSuccess && 'Saved: they hold for all cases now.'}
            {faults.length > 0 && 'Not saved: look at what is marked.'}
          </span>
        </div>
      )}
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </form>
  );
}

/** What the team has settled on for the records of its cases: for owners to set, for all to know. */
export function RecordRulesPage() {
  const { member } = useShell();
  const settings = useTeamSettings();
  const isOwner = member.role === 'owner';
  const margin = (
    <div className="grid gap-3 text-[14px] text-soft">
      <p>
        A rule makes care due for everyone it fits: by age, sex, species or a problem. It is done when the
        record tells of it by its name.
      </p>
      <p>
        {isOwner ? 'What you save here holds for all cases at once.' : 'Owners of the team change these.'}
      </p>
    </div>
  );
  return (
    <Figure marginLabel="About rules for records" margin={margin}>
      <h1 className="px-9 pt-6 pb-2 font-book text-[26px] leading-tight max-[899px]:px-4">
        Rules for records
      </h1>
      <div className="px-9 pb-8 max-[899px]:px-4">
        {settings.data ? (
          <Rules rules={settings.data.records ?? USUAL_RULES} isOwner={isOwner} />
        ) : settings.isError ? (
          <Failed what="the rules" error={settings.error} retry={() => void settings.refetch()} />
        ) : (
          <Loading what="the rules" />
        )}
      </div>
    </Figure>
  );
}
