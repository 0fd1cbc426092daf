import { mergedSettings } from '#core/difference';
import { useMemo, useState } from 'react';
import type { Assignment, NewAssignment } from '#contracts';
import { peopleFromLines } from '#core/work';
import { useTeam } from '../../../api';
import { useShell } from '../../../shell';
import { Button, Overtaken, Refused, TextField, Tick, useUnsaved } from '../../../ui';
import { CriteriaEditor, criteriaWritten, writtenCriteria, type WrittenCriterion } from './CriteriaEditor';
import { useSaveAssignment } from './useAssignment';

/** What is written in the form, as it is written. */
interface Written {
  title: string;
  due: string;
  least: string;
  most: string;
  criteria: readonly WrittenCriterion[];
  people: string;
  given: readonly string[];
}

const words = (text: string): number | null => {
  const number = Number(text.replace(/[^\d]/g, ''));
  return number > 0 ? number : null;
};

const writtenOf = (one: Assignment | null): Written => ({
  title: one?.title ?? '',
  due: one?.due ?? '',
  least: String(one?.limits.least ?? ''),
  most: String(one?.limits.most ?? ''),
  criteria: writtenCriteria(one?.criteria ?? []),
  people: (one?.people ?? []).map(({ name, number }) => (number ? `${name}\t${number}` : name)).join('\n'),
  given: [],
});

interface LinesProps {
  label: string;
  hint: string;
  value: string;
  change: (value: string) => void;
}

/** A field of lines, one thing a line. */
function Lines({ label, hint, value, change }: LinesProps) {
  return (
    <label className="block">
      <span className="eyebrow block">{label}</span>
      <textarea
        rows={Math.min(8, Math.max(3, value.split('\n').length))}
        className="input"
        value={value}
        onChange={({ target }) => change(target.value)}
      />
      <span className="text-[13px] text-soft">{hint}</span>
    </label>
  );
}

/** What the form says, as it is sent. */
const workOf = (
  { title, due, least, most, criteria, people, given }: Written,
  id: string,
): NewAssignment => ({
  ...{ id, title, due: due === '' ? null : due },
  limits: { least: words(least), most: words(most) },
  criteria: criteriaWritten(criteria),
  people: peopleFromLines(people),
  given: [...given],
});

/** Colleagues that it is shared with; whom it is given to already has its submissions, and gives them back case by case. */
function SharedWith({
  one,
  given,
  change,
}: {
  one: Assignment | null;
  given: readonly string[];
  change: (given: string[]) => void;
}) {
  const { member } = useShell();
  const team = (useTeam().data?.members ?? []).filter(
    ({ id, left }) => id !== member.id && !left && !one?.given.includes(id),
  );
  if (team.length === 0) return null;
  return (
    <fieldset>
      <legend className="eyebrow">Shared with</legend>
      {team.map(({ id, name }) => (
        <Tick
          key={id}
          on={given.includes(id)}
          toggle={() => change(given.includes(id) ? given.filter((each) => each !== id) : [...given, id])}
        >
          {name}
        </Tick>
      ))}
    </fieldset>
  );
}

interface PartProps {
  written: Written;
  put: (part: Partial<Written>) => void;
}

function WhenAndHowLong({ written, put }: PartProps) {
  return (
    <>
      <TextField
        label="Due"
        type="date"
        value={written.due}
        onChange={({ target }) => put({ due: target.value })}
      />
      <div className="grid grid-cols-2 gap-4">
        <TextField
          label="Words at least"
          inputMode="numeric"
          value={written.least}
          onChange={({ target }) => put({ least: target.value })}
        />
        <TextField
          label="Words at most"
          inputMode="numeric"
          value={written.most}
          onChange={({ target }) => put({ most: target.value })}
        />
      </div>
    </>
  );
}

/** What is asked of a class: a new assignment, or one that is changed. */
export function AssignmentForm({
  one,
  saved,
  close,
}: {
  one: Assignment | null;
  saved: (now: Assignment) => void;
  close: () => void;
}) {
  // As it was when it was read: what a colleague saves meanwhile is made one with this, or asked about.
  const there = useMemo(() => writtenOf(one), [one]);
  const unsaved = useUnsaved(there, one?.version ?? 0, mergedSettings);
  const { value: written } = unsaved;
  // Sent again, since its answer was lost, it is one assignment.
  const [id] = useState(() => one?.id ?? crypto.randomUUID());
  const save = useSaveAssignment(saved);
  // A new one is what its page is about; one that is changed is beside its own.
  const Heading = one ? 'h2' : 'h1';
  const put = (part: Partial<Written>) => unsaved.set({ ...written, ...part });
  const send = () => save.mutate({ work: workOf(written, id), version: one && unsaved.version });
  return (
    <form
      aria-label={one ? 'Change the assignment' : 'New assignment'}
      className="slip grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <Heading className="section-head">{one ? 'Change the assignment' : 'New assignment'}</Heading>
      <TextField
        label="Title"
        autoFocus
        maxLength={200}
        value={written.title}
        onChange={({ target }) => put({ title: target.value })}
      />
      <WhenAndHowLong written={written} put={put} />
      <Lines
        label="People"
        hint="One a line, or pasted from a table: name, number."
        value={written.people}
        change={(people) => put({ people })}
      />
      <CriteriaEditor criteria={written.criteria} put={(criteria) => put({ criteria })} />
      <SharedWith one={one} given={written.given} change={(given) => put({ given })} />
      {unsaved.overtaken && <Overtaken {...unsaved} />}
      <div className="flex gap-4">
        <Button type="submit" look="main" disabled={save.isPending || unsaved.overtaken}>
          {one ? 'Save' : 'Make it'}
        </Button>
        <Button look="text" onClick={close}>
          Cancel
        </Button>
      </div>
      {save.error && <Refused error={save.error} />}
    </form>
  );
}
