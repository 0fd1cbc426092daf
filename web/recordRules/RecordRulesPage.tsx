import { mergedSettings } from '#core/difference';
import { useMemo, useState, type FormEvent } from 'react';
import {
  formOfRules,
  readRules,
  USUAL_RULES,
  type RecordRules,
  type RulesFault,
  type RulesForm,
} from '#core/record';
import { inWords } from '#client/api';
import { KEYS, queryClient, useChangeTeamSettings, useTeamSettings } from '../api';
import { Figure, useLiveKeys, useShell } from '../shell';
import { Button, Failed, Key, Loading, Notice, Overtaken, useUnsaved } from '../ui';
import { CareRows } from './CareRows';
import type { FaultOf } from './faultOf';
import { OldRows } from './OldRows';
import { UsualRows } from './UsualRows';

/** The rules as they are typed over, and saving them: what another owner saves meanwhile is made one with it, or asked about. */
function useRulesForm(rules: RecordRules, readAt: number) {
  const there = useMemo(() => formOfRules(rules), [rules]);
  const unsaved = useUnsaved<RulesForm>(there, readAt, mergedSettings);
  const { value: form } = unsaved;
  const [faults, setFaults] = useState<readonly RulesFault[]>([]);
  const save = useChangeTeamSettings();
  const send = (records: RecordRules) =>
    save.mutate(() => ({ records }), {
      onSuccess: (now) => {
        const { dataUpdatedAt } = queryClient.getQueryState(KEYS.teamSettings)!;
        unsaved.saved(formOfRules(now.records ?? USUAL_RULES), dataUpdatedAt);
      },
    });
  const put = (change: Partial<RulesForm>) => {
    if (save.isSuccess) save.reset();
    unsaved.set({ ...form, ...change });
  };
  const submit = () => {
    if (unsaved.overtaken) return;
    const read = readRules(form, navigator.language);
    setFaults('faults' in read ? read.faults : []);
    if ('rules' in read) send(read.rules);
  };
  const faultOf: FaultOf = (list, row, field) =>
    faults.find((one) => one.list === list && one.row === row && one.field === field)?.words;
  return { form, put, faultOf, faults, save, submit, unsaved };
}

interface RulesProps {
  rules: RecordRules;
  /** When they were read. */
  readAt: number;
  isOwner: boolean;
}

/** The rules, as an owner changes them and others read them. */
export function RulesForRecords({ rules, readAt, isOwner }: RulesProps) {
  const { form, put, faultOf, faults, save, submit, unsaved } = useRulesForm(rules, readAt);
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
      {unsaved.overtaken && (
        <div className="mt-6">
          <Overtaken {...unsaved} />
        </div>
      )}
      {isOwner && (
        <div className="mt-6 flex flex-wrap items-baseline gap-4">
          <Button type="submit" disabled={save.isPending || unsaved.overtaken} aria-keyshortcuts="F9 Alt+X">
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
          <RulesForRecords
            rules={settings.data.records ?? USUAL_RULES}
            readAt={settings.dataUpdatedAt}
            isOwner={isOwner}
          />
        ) : settings.isError ? (
          <Failed what="the rules" error={settings.error} retry={() => void settings.refetch()} />
        ) : (
          <Loading what="the rules" />
        )}
      </div>
    </Figure>
  );
}
