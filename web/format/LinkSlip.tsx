import type { Editor } from '@tiptap/core';
import { useState } from 'react';
import { Button, TextField } from '../ui';
import { addressTyped, linkHere, linkTo } from './linking';

interface Props {
  editor: Editor;
  close: () => void;
}

/** Asks where the selected words, or the link at the caret, lead. */
export function LinkSlip({ editor, close }: Props) {
  const [now] = useState(() => linkHere(editor));
  const [typed, setTyped] = useState(now);
  const href = typed.trim() === '' ? '' : addressTyped(typed);
  const put = () => {
    if (href === null || (href === '' && now === '')) return;
    linkTo(editor, href);
    close();
  };
  return (
    <form
      aria-label="Link"
      className="slip grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        put();
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.preventDefault();
        close();
      }}
    >
      <TextField
        autoFocus
        label="Link address"
        placeholder="https://, mailto: or tel:"
        value={typed}
        aria-invalid={href === null}
        onChange={({ target }) => setTyped(target.value)}
      />
      {href === null && <p className="text-[13px] text-rust">A link cannot lead to this address.</p>}
      <div className="flex gap-4">
        <Button look="main" type="submit" disabled={href === null || (href === '' && now === '')}>
          {href === '' && now !== '' ? 'Remove the link' : 'Link'}
        </Button>
        <Button type="button" onClick={close}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
