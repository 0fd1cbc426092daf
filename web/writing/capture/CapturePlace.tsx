import type { Collection } from '#contracts';
import { SelectField, TextField } from '../../ui';

const NEW = 'new';

interface Props {
  keepable: readonly Collection[];
  place: string;
  fresh: string | null;
  go: (collection: string) => void;
  begin: (name: string | null) => void;
}

/** Where the entry goes: a collection there is, or one made on the spot. */
export function CapturePlace({ keepable, place, fresh, go, begin }: Props) {
  return (
    <div className="grid gap-2">
      <SelectField
        label="Collection"
        value={fresh === null ? place : NEW}
        onChange={({ target: { value } }) => {
          begin(value === NEW ? '' : null);
          if (value !== NEW) go(value);
        }}
      >
        {keepable.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
        <option value={NEW}>a new collection</option>
      </SelectField>
      {fresh !== null && (
        <TextField
          label="Its name"
          autoFocus
          required
          maxLength={80}
          value={fresh}
          onChange={({ target }) => begin(target.value)}
        />
      )}
    </div>
  );
}
