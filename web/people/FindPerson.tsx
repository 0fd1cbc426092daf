import { TextField } from '../ui';
import type { useNamed } from './useNamed';

/** Above a long list of people: who of them is shown. */
export function FindPerson({
  named: { isLong, typed, type, shown },
}: {
  named: ReturnType<typeof useNamed<unknown>>;
}) {
  if (!isLong) return null;
  return (
    <div>
      <TextField
        label="Find a person"
        type="search"
        value={typed}
        onChange={({ target }) => type(target.value)}
        // Within a form, it sends nothing.
        onKeyDown={(event) => event.key === 'Enter' && event.preventDefault()}
        spellCheck={false}
      />
      <p role="status" className="text-[13px] text-soft">
        {shown.length === 0 && `Nobody is found by “${typed.trim()}”.`}
      </p>
    </div>
  );
}
