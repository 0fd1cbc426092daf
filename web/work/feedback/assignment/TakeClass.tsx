import { useRef, useState } from 'react';
import type { Assignment } from '#contracts';
import { Button, FileDrop, Notice, SelectField, useFocusNext } from '../../../ui';
import { useTakeClass, type Doubtful } from './useTakeClass';

/** A file of which it is asked whose it is. */
function Asked({
  one,
  people,
  settle,
  leave,
}: {
  one: Doubtful;
  people: readonly string[];
  settle: (person: string) => void;
  leave: () => void;
}) {
  const all = [...one.likely, ...people.filter((name) => !one.likely.includes(name))];
  const [person, setPerson] = useState(one.likely[0] ?? '');
  return (
    <form
      className="grid gap-2 border-l-2 border-leaf py-1 pl-3 text-[14px]"
      onSubmit={(event) => {
        event.preventDefault();
        settle(person);
      }}
    >
      <p className="min-w-0 break-words">
        <span className="font-semibold">{one.file.name}</span> <span className="text-soft">{one.why}</span>
      </p>
      <SelectField label="Whose is it?" value={person} onChange={({ target }) => setPerson(target.value)}>
        {one.likely.length === 0 && <option value="">choose whose it is</option>}
        {all.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </SelectField>
      <div className="flex gap-4">
        <Button type="submit" disabled={person === ''}>
          Take it in
        </Button>
        <Button look="text" onClick={leave}>
          Leave it
        </Button>
      </div>
    </form>
  );
}

/** Where the files of a class are dropped, with what became of them. */
export function TakeClass({ one }: { one: Assignment }) {
  const { doubtful, notTaken, reading, taken, takeAll, settle, leave } = useTakeClass(one);
  const section = useRef<HTMLElement>(null);
  const focusNext = useFocusNext();
  // One that is settled goes: the keys are with the next one then, or where files are dropped.
  const goOn = () =>
    focusNext(
      () =>
        section.current?.querySelector<HTMLElement>('form select') ??
        section.current?.querySelector<HTMLElement>('button'),
    );
  return (
    <section
      ref={section}
      aria-label="Take submissions in"
      className="grid grid-cols-[minmax(0,1fr)] gap-3 pt-6"
    >
      <FileDrop
        label="Submissions"
        hint="Drop files or a zip here: Word (docx), OpenDocument (odt), PDF, Markdown or plain text. Each goes to its person by the name in the file’s name or on its first page."
        isReading={reading !== null}
        isMany
        take={(files) => void takeAll(files)}
      />
      {reading && (
        <p role="status" className="text-[14px] text-soft">
          {reading.done + 1} of {reading.all} …
        </p>
      )}
      {!reading && taken > 0 && (
        <Notice title={taken === 1 ? '1 file taken in.' : `${taken} files taken in.`} />
      )}
      {notTaken.map(({ name, why }) => (
        <Notice key={name + why} tone="warning" title={why} />
      ))}
      {doubtful.map((file) => (
        <Asked
          key={file.key}
          one={file}
          people={one.people.map(({ name }) => name)}
          settle={(person) => void settle(file, person, goOn)}
          leave={() => {
            goOn();
            leave(file);
          }}
        />
      ))}
    </section>
  );
}
