import { useEffect, useRef, useState } from 'react';
import type { HouseWordGiven } from '#contracts';
import { isSame, mergedSettings } from '#core/difference';
import { languageName, LANGUAGES } from '#core/language';
import { Button, Notice, Overtaken, SelectField, TextField, Tick, useUnsaved } from '../ui';

const listed = (text: string) =>
  text
    .split(/[,;]/)
    .map((one) => one.trim())
    .filter(Boolean);

/** A word as it is typed: those to avoid in one line. */
type Typed = Omit<HouseWordGiven, 'avoid'> & { avoid: string };
const typedOf = ({ language, use, avoid, why, together }: HouseWordGiven): Typed => ({
  ...{ language, use, why, together, avoid: avoid.join(', ') },
});

interface FormProps {
  name: string;
  unsaved: Pick<ReturnType<typeof useUnsaved<Typed>>, 'value' | 'set'>;
  save: (word: HouseWordGiven) => void;
  /** Whether it cannot be saved just now. */
  held: boolean;
  cancel: (() => void) | null;
  children?: React.ReactNode;
  form?: React.Ref<HTMLFormElement>;
}

/** What is said, instead of what, and why. */
function WordForm({ name, unsaved: { value: now, set }, save, held, cancel, children, form }: FormProps) {
  const put = (change: Partial<Typed>) => set({ ...now, ...change });
  const avoided = listed(now.avoid);
  return (
    <form
      ref={form}
      aria-label={name}
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!held && avoided.length > 0) save({ ...now, use: now.use.trim(), avoid: avoided });
      }}
    >
      <div className="grid grid-cols-2 gap-x-5 gap-y-2 max-[899px]:grid-cols-1">
        <TextField
          label="We say"
          maxLength={100}
          value={now.use}
          onChange={({ target }) => put({ use: target.value })}
        />
        <TextField
          label="Not (several with commas)"
          maxLength={500}
          value={now.avoid}
          onChange={({ target }) => put({ avoid: target.value })}
        />
      </div>
      <div className="grid grid-cols-[1fr_11rem] gap-x-5 gap-y-2 max-[899px]:grid-cols-1">
        <TextField
          label="Reason"
          maxLength={300}
          value={now.why}
          onChange={({ target }) => put({ why: target.value })}
        />
        <SelectField
          label="Language"
          value={now.language}
          onChange={({ target }) => put({ language: target.value })}
        >
          <option value="">every language</option>
          {LANGUAGES.map((code) => (
            <option key={code} value={code}>
              {languageName(code)}
            </option>
          ))}
        </SelectField>
      </div>
      <Tick on={now.together} toggle={() => put({ together: !now.together })}>
        Only where an entry has two of these words
      </Tick>
      {children}
      <p className="flex gap-3">
        <Button type="submit" disabled={held || avoided.length === 0}>
          Save
        </Button>
        {cancel && <Button onClick={cancel}>Cancel</Button>}
      </p>
    </form>
  );
}

interface ChangeProps {
  word: HouseWordGiven;
  /** When the list was read that the word is from. */
  readAt: number;
  /** Whether a colleague has removed it meanwhile. */
  isGone: boolean;
  save: (word: HouseWordGiven) => void;
  pending: boolean;
  cancel: () => void;
}

/** A word being changed: what a colleague saves of it meanwhile is made one with it, or asked about. */
export function WordChange({ word, readAt, isGone, save, pending, cancel }: ChangeProps) {
  const unsaved = useUnsaved(typedOf(word), readAt, mergedSettings);
  return (
    <WordForm {...{ name: 'Change a term', unsaved, save, cancel }} held={pending || unsaved.overtaken}>
      {unsaved.overtaken && <Overtaken {...unsaved} />}
      {isGone && <Notice tone="warning" title="A colleague removed this term. Save it to have it again." />}
    </WordForm>
  );
}

interface NewProps {
  save: (word: HouseWordGiven, done: () => void) => void;
  pending: boolean;
}

const EMPTY: Typed = { language: '', use: '', avoid: '', why: '', together: false };

/** Another word: empty again once it is saved, with the keys in its first field, unless more was typed meanwhile. */
export function NewWord({ save, pending }: NewProps) {
  const [value, set] = useState(EMPTY);
  const latest = useRef(value);
  useEffect(() => {
    latest.current = value;
  });
  const form = useRef<HTMLFormElement>(null);
  const sendAndEmpty = (word: HouseWordGiven) =>
    save(word, () => {
      if (!isSame(latest.current, value)) return;
      set(EMPTY);
      form.current?.querySelector('input')?.focus();
    });
  return (
    <WordForm
      {...{ name: 'New term', unsaved: { value, set }, save: sendAndEmpty, form }}
      held={pending}
      cancel={null}
    />
  );
}
