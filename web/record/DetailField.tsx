import { labelOfDetail, isDay, readBack } from '#core/record';
import { LANGUAGES, languageName } from '#core/language';
import { writtenToday } from '#client/clock';
import { ActingSelect, SelectField, TextField } from '../ui';

/** Details of which there are only a few. */
const CHOICES: Partial<Record<string, readonly (readonly [string, string])[]>> = {
  sex: ['female', 'male', 'unknown'].map((one) => [one, one] as const),
  language: LANGUAGES.map((tag) => [tag, languageName(tag)] as const),
};

interface Props {
  path: string;
  /** What it is called, where it is none that is known of every record. */
  label?: string | undefined;
  value: string;
  error?: string | undefined;
  change: (value: string) => void;
  /** What Enter, leaving it, or picking does; nothing while it is part of a form. */
  settle?: (value: string) => void;
}

/** A detail of a record, to be written: words, a day in shorthand that is read back, or one of a few. */
export function DetailField({ path, label, value, error, change, settle }: Props) {
  const named = label ?? labelOfDetail(path);
  const choices = CHOICES[path];
  const back = readBack(path, value, writtenToday());
  if (!choices)
    return (
      <TextField
        label={named}
        placeholder={isDay(path) ? 'such as 4 mar, or -2 for two days ago' : undefined}
        hint={back === value ? undefined : back}
        maxLength={2000}
        error={error}
        value={value}
        onChange={({ target }) => change(target.value)}
        onBlur={() => settle?.(value)}
        onKeyDown={(event) => {
          if (!settle || event.key !== 'Enter' || event.nativeEvent.isComposing) return;
          event.preventDefault();
          settle(value);
        }}
      />
    );
  // What the record says in words of its own is kept among them.
  const others = value !== '' && !choices.some(([one]) => one === value) ? [[value, value] as const] : [];
  const options = [...others, ...choices].map(([one, words]) => (
    <option key={one} value={one}>
      {words}
    </option>
  ));
  if (settle)
    return (
      <ActingSelect label={named} error={error} value={value} act={settle}>
        <option value="">not said</option>
        {options}
      </ActingSelect>
    );
  return (
    <SelectField label={named} error={error} value={value} onChange={({ target }) => change(target.value)}>
      <option value="">not said</option>
      {options}
    </SelectField>
  );
}
