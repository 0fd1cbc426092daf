import { useState } from 'react';
import { pagesNamed } from '#core/draft';
import { Button } from '../../ui';
import type { Markings } from './useMarkings';

/** Puts the marking at hand at the same place of other pages, named by their numbers. */
export function OtherPages({ markings: { acts, page }, pages }: { markings: Markings; pages: number }) {
  const [text, write] = useState<string | null>(null);
  const [why, tell] = useState<string | null>(null);
  // Until something else is said it is the next page.
  const shown = text ?? String(Math.min(pages, page + 2));
  return (
    <form
      className="flex flex-wrap items-baseline gap-x-2 gap-y-1"
      onSubmit={(event) => {
        event.preventDefault();
        const named = pagesNamed(shown, pages);
        tell(named.ok ? null : named.why);
        if (!named.ok) return;
        write(null);
        acts.again(named.pages);
      }}
    >
      <label className="flex items-baseline gap-2">
        Also on pages
        <input
          className="input w-24 text-[13px]"
          autoComplete="off"
          maxLength={80}
          value={shown}
          onChange={({ target }) => write(target.value)}
        />
      </label>
      <Button look="text" type="submit">
        Put it there
      </Button>
      {why && (
        <p role="alert" className="w-full text-rust">
          {why}
        </p>
      )}
    </form>
  );
}
