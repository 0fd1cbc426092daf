import { useState } from 'react';
import { MOST_TERMS, termsOfLines, type Transcript } from '#core/transcript';
import { Button, Key } from '../../ui';
import type { TurnActs } from './turnActs';

interface Props {
  transcript: Transcript;
  acts: TurnActs;
  close: () => void;
}

/** The terms of this recording alone, one to a line: read, put right, or pasted as a list. */
export function TermsSlip({ transcript, acts, close }: Props) {
  const [lines, setLines] = useState((transcript.terms ?? []).join('\n'));
  const count = termsOfLines(lines).length;
  return (
    <form
      aria-label="Names and terms of this recording"
      className="slip grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        acts.setTerms(termsOfLines(lines));
        close();
      }}
    >
      <h2 className="section-head">Names and terms of this recording</h2>
      <p className="text-[13px] text-soft">
        One to a line. They are offered on this leaf alone and stay out of every glossary. Speakers and what
        the case knows by name are offered already. While you write, <Key>Alt + ]</Key> adds the word before
        the cursor, or the words selected.
      </p>
      <textarea
        aria-label="Terms"
        className="input min-h-40 w-full"
        autoFocus
        value={lines}
        spellCheck={false}
        onChange={({ target }) => setLines(target.value)}
      />
      <p role="status" className="text-[13px] text-soft">
        {count === 1 ? '1 term' : `${count} terms`}
        {count >= MOST_TERMS && `: that is the most; what is further down is not kept`}.
      </p>
      <p className="flex items-center gap-3">
        <Button type="submit" look="main">
          Save
        </Button>
        <Button look="text" onClick={close}>
          Cancel <Key>Esc</Key>
        </Button>
      </p>
    </form>
  );
}
