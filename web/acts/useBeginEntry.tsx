import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { EntryContent } from '#core/entry';
import { keepUnsaved, readUnsaved, unsavedKey } from '#client/unsaved';
import { useShell } from '../shell';
import { Notice } from '../ui';

/** Begins a new entry with some content on its page; not over one that was begun and is not saved yet, which `held` tells. */
export function useBeginEntry() {
  const { member } = useShell();
  const navigate = useNavigate();
  const [isHeld, setHeld] = useState(false);
  const begin = (content: EntryContent) => {
    const key = unsavedKey(member.id, undefined);
    if (readUnsaved(key)) return setHeld(true);
    keepUnsaved(key, { base: 0, content, reason: '' });
    void navigate('/bank/new');
  };
  const held = isHeld && (
    <Notice title="You began another entry, which is not saved yet.">
      <Link to="/bank/new" className="text-elder underline">
        Save or discard it first.
      </Link>{' '}
      Nothing was changed.
    </Notice>
  );
  return { begin, held };
}
