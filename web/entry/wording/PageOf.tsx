import { useState } from 'react';
import { pageAddress, type Wording } from '#core/entry';

/** Which page of others a wording is for, where the companion takes it in place of the others; none for all of them. */
export function PageOf({ wording, set }: { wording: Wording; set: (changed: Wording) => void }) {
  const [typed, type] = useState(wording.onPage ?? '');
  const isWrong = typed.trim() !== '' && pageAddress(typed) === null;
  const change = (next: string) => {
    type(next);
    const { onPage: _, ...others } = wording;
    const page = pageAddress(next);
    if (next.trim() === '') set(others);
    else if (page !== null) set({ ...others, onPage: page });
  };
  return (
    <label
      className="flex flex-wrap items-baseline gap-x-2"
      title="As a person, a group or a place is named there"
    >
      only on the page
      <input
        className="input w-44 text-ink"
        maxLength={300}
        placeholder="every page"
        aria-invalid={isWrong}
        value={typed}
        onChange={({ target }) => change(target.value)}
        onBlur={() => !isWrong && type(wording.onPage ?? '')}
      />
      {isWrong && (
        <span role="alert" className="text-rust">
          A page is named as in chat.example, or works.example/chat.
        </span>
      )}
    </label>
  );
}
