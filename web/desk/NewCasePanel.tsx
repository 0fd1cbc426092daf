import { useEffect, useState } from 'react';
import { X } from 'lucide-react';
import type { CaseSummary } from '#contracts';
import type { DetailPath } from '#core/record';
import { KINDS, type KindId } from '#core/work';
import { ApiProblem, inWords } from '#client/api';
import { useKinds, useTeam } from '../api';
import { writtenToday } from '#client/clock';
import { dropKept, keep, kept } from '#client/kept';
import { DetailField, FromClipboard, takenInWords, useClipboardDetails } from '../record';
import { useShell } from '../shell';
import { ActingSelect, Button, Notice, SelectField, TextField } from '../ui';
import { emptyCase, isWritten, NewCaseFormSchema, unread, withDetails, type NewCaseForm } from './newCase';
import { useBegin } from './useBegin';

const KEPT = 'new-case';
/** Colleagues that the case is given to, besides oneself. */
function GivenTo({ given, change }: { given: readonly string[]; change: (given: string[]) => void }) {
  const { member } = useShell();
  const members = (useTeam().data?.members ?? []).filter(({ id, left }) => id !== member.id && !left);
  const nameOf = (id: string) => members.find((one) => one.id === id)?.name ?? 'Someone who left';
  if (members.length === 0) return null;
  return (
    <div>
      <ActingSelect
        label="Give the case to a colleague too"
        value=""
        act={(id) => id && change([...given, id])}
      >
        <option value="">nobody else</option>
        {members
          .filter(({ id }) => !given.includes(id))
          .map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
      </ActingSelect>
      <ul>
        {given.map((id) => (
          <li key={id} className="flex min-h-6 items-center justify-between border-b border-hair text-[14px]">
            {nameOf(id)}
            <button
              type="button"
              aria-label={`Do not give it to ${nameOf(id)}`}
              className="p-1 text-soft hover:text-rust"
              onClick={() => change(given.filter((one) => one !== id))}
            >
              <X size={16} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What one begins with: what was being written in this tab, else nothing of the kind one had last. */
function beginWith(cases: readonly CaseSummary[], done: readonly KindId[]): NewCaseForm {
  const newest = [...cases].sort((a, b) => b.openedAt.localeCompare(a.openedAt))[0]?.kind;
  const kind: KindId = newest && newest !== 'leaf' ? newest : done[0]!;
  return kept(KEPT, NewCaseFormSchema, 'tab') ?? emptyCase(kind);
}

interface LinesProps {
  form: NewCaseForm;
  put: (part: Partial<NewCaseForm>) => void;
  /** What the server says is wrong with one of them. */
  faultOf: (place: string) => string | undefined;
  /** Details in which no day can be read. */
  told: readonly DetailPath[];
}

/** What is asked of a case: what it is, what it is called, and the details of its kind. */
function Lines({ form, put, faultOf, told }: LinesProps) {
  const { done, caseOf } = useKinds();
  // What was begun as something that the team does no more stays so.
  const shown = done.includes(form.kind) ? done : [form.kind, ...done];
  return (
    <>
      <SelectField
        label="Kind of work"
        value={form.kind}
        onChange={({ target }) => put({ kind: target.value as KindId })}
      >
        {shown.map((id) => (
          <option key={id} value={id}>
            {caseOf(id)}
          </option>
        ))}
      </SelectField>
      <TextField
        label="Title"
        autoFocus
        maxLength={200}
        error={faultOf('title')}
        value={form.title}
        onChange={({ target }) => put({ title: target.value })}
      />
      <TextField
        label="Case number"
        maxLength={60}
        error={faultOf('number')}
        value={form.number}
        onChange={({ target }) => put({ number: target.value })}
      />
      {KINDS[form.kind].details.map((path) => (
        <DetailField
          key={path}
          path={path}
          value={form.details[path] ?? ''}
          error={told.includes(path) ? 'Not a date yet.' : undefined}
          change={(value) => put({ details: { ...form.details, [path]: value } })}
        />
      ))}
    </>
  );
}

/** Begins a case by hand. What is written stays in this tab until the case is there, or one lets go of it. */
export function NewCasePanel({ cases, close }: { cases: readonly CaseSummary[]; close: () => void }) {
  const { done } = useKinds();
  const [form, setForm] = useState(() => beginWith(cases, done));
  const [told, setTold] = useState<readonly DetailPath[]>([]);
  const begin = useBegin(() => dropKept(KEPT, 'tab'));
  useEffect(() => {
    if (isWritten(form)) keep(KEPT, form, 'tab');
  }, [form]);
  const put = (part: Partial<NewCaseForm>) => {
    // What was said to what stood there before says nothing of what stands there now.
    if (begin.error) begin.reset();
    setTold([]);
    setForm((now) => ({ ...now, ...part }));
  };
  const clipboard = useClipboardDetails((found) => {
    const { form: filled, ...became } = withDetails(form, found);
    put(filled);
    return takenInWords(became);
  });
  const faults = begin.error instanceof ApiProblem ? (begin.error.problem.faults ?? []) : [];
  const faultOf = (place: string) => faults.find((fault) => fault.place.startsWith(place))?.message;
  const letGo = () => {
    dropKept(KEPT, 'tab');
    close();
  };
  return (
    <form
      aria-label="A new case"
      noValidate
      className="slip mt-6 grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        const days = unread(form, writtenToday());
        setTold(days);
        if (days.length === 0) begin.mutate(form);
      }}
    >
      <h2 className="font-book text-[17px]">A new case</h2>
      <FromClipboard details={clipboard} />
      <Lines {...{ form, put, faultOf, told }} />
      <GivenTo given={form.given} change={(given) => put({ given })} />
      {begin.error && (
        <Notice tone="warning" title={inWords(begin.error)}>
          No case was made. What you wrote is still here.
        </Notice>
      )}
      <p className="flex gap-2">
        <Button look="main" type="submit" disabled={begin.isPending}>
          Begin the case
        </Button>
        <Button onClick={letGo}>{isWritten(form) ? 'Discard' : 'Close'}</Button>
      </p>
    </form>
  );
}
