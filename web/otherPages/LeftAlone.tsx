import { useState } from 'react';
import { LeftAloneSchema, type TeamSettings } from '#contracts';
import { inWords } from '#client/api';
import { useChangeTeamSettings, useTeamSettings } from '../api';
import { useShell } from '../shell';
import { Button, Failed, Loading, Notice, TextField } from '../ui';

const NONE: readonly string[] = [];

const withPage =
  (page: string) =>
  ({ leftAlone }: TeamSettings) => ({ leftAlone: [...new Set([...(leftAlone ?? NONE), page])].sort() });
const withoutPage =
  (page: string) =>
  ({ leftAlone }: TeamSettings) => ({ leftAlone: (leftAlone ?? NONE).filter((one) => one !== page) });

interface AddProps {
  known: readonly string[];
  isSaving: boolean;
  add: (page: string, done: () => void) => void;
}

/** Names a page that nobody's companion looks at. */
function AddPage({ known, isSaving, add }: AddProps) {
  const [typed, setTyped] = useState('');
  const [said, say] = useState<string | undefined>();
  return (
    <form
      aria-label="Leave a page alone"
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (isSaving) return;
        const read = LeftAloneSchema.safeParse(typed);
        if (!read.success) return say('Name a page by its host, such as bank.example or *.bank.example.');
        if (known.includes(read.data)) return say('That page is on the list already.');
        say(undefined);
        // What is typed on meanwhile stays; and so does all of it where it cannot be saved.
        add(read.data, () => setTyped((now) => (now === typed ? '' : now)));
      }}
    >
      <div className="min-w-[16rem] grow">
        <TextField
          label="A page to leave alone"
          placeholder="bank.example, or *.bank.example for all within it"
          value={typed}
          error={said}
          onChange={({ target }) => setTyped(target.value)}
        />
      </div>
      <Button type="submit" disabled={isSaving || typed.trim() === ''}>
        Add
      </Button>
    </form>
  );
}

/** The pages that are left alone; owners change them. */
export function LeftAlone() {
  const { member } = useShell();
  const settings = useTeamSettings();
  const save = useChangeTeamSettings();
  const [removed, setRemoved] = useState<string | null>(null);
  if (settings.isPending) return <Loading what="the list" />;
  if (settings.isError)
    return <Failed what="the list" error={settings.error} retry={() => void settings.refetch()} />;
  const pages = settings.data.leftAlone ?? NONE;
  const isOwner = member.role === 'owner';
  return (
    <div className="grid gap-3">
      {pages.length === 0 && (
        <p className="text-[14px] text-soft">
          None yet. Passwords, payment and search are never looked at, on any page.
        </p>
      )}
      <ul aria-label="Pages left alone">
        {pages.map((page) => (
          <li
            key={page}
            className="flex items-baseline justify-between gap-3 border-b border-hair py-1.5 font-cue text-[13.5px]"
          >
            <span className="min-w-0 break-all">{page}</span>
            {isOwner && (
              <Button
                look="text"
                aria-label={`Remove ${page}`}
                disabled={save.isPending}
                onClick={() => save.mutate(withoutPage(page), { onSuccess: () => setRemoved(page) })}
              >
                Remove
              </Button>
            )}
          </li>
        ))}
      </ul>
      {removed !== null && !pages.includes(removed) && (
        <Notice title={`${removed} is no longer left alone.`}>
          <Button look="text" disabled={save.isPending} onClick={() => save.mutate(withPage(removed))}>
            Undo
          </Button>
        </Notice>
      )}
      {isOwner && (
        <AddPage
          known={pages}
          isSaving={save.isPending}
          add={(page, done) => save.mutate(withPage(page), { onSuccess: done })}
        />
      )}
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </div>
  );
}
