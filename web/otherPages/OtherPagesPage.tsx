import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { LeftAloneSchema } from '#contracts';
import { call, inWords } from '#client/api';
import { KEYS, queryClient, useTeamSettings } from '../api';
import { Figure, useShell } from '../shell';
import { PageCards } from './PageCards';
import { Button, Failed, Loading, Notice, TextField } from '../ui';

const NONE: readonly string[] = [];

/** Names a page that nobody's companion looks at. */
function AddPage({ known, add }: { known: readonly string[]; add: (page: string) => void }) {
  const [typed, setTyped] = useState('');
  const [said, say] = useState<string | undefined>();
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        const read = LeftAloneSchema.safeParse(typed);
        if (!read.success) return say('Name a page by its host, such as bank.example or *.bank.example.');
        if (known.includes(read.data)) return say('That page is on the list already.');
        add(read.data);
        setTyped('');
        say(undefined);
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
      <Button type="submit" disabled={typed.trim() === ''}>
        Add
      </Button>
    </form>
  );
}

/** The pages that are left alone, as they stand; owners change them. */
function LeftAlone() {
  const { member } = useShell();
  const settings = useTeamSettings();
  const save = useMutation({
    mutationFn: (leftAlone: string[]) => call('saveTeamSettings', { body: { leftAlone } }),
    onSuccess: (now) => queryClient.setQueryData(KEYS.teamSettings, now),
  });
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
                onClick={() => save.mutate(pages.filter((one) => one !== page))}
              >
                Remove
              </Button>
            )}
          </li>
        ))}
      </ul>
      {isOwner && <AddPage known={pages} add={(page) => save.mutate([...pages, page].sort())} />}
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </div>
  );
}

/** The bank on pages of others: what the companion does there, and the pages that it leaves alone for all of the team. */
export function OtherPagesPage() {
  return (
    <Figure
      marginLabel="What the companion may do"
      margin={
        <div className="grid gap-2 pt-6 text-[14px] text-soft">
          <h2 className="section-head">What it may do</h2>
          <p>
            It reads the bank and counts uses. It sees no texts and no people but the one who joined it; a
            case only when it is open in this browser and one fills an entry from it.
          </p>
          <p>
            It works on pages that its user has allowed, one by one, and makes no request but to this
            Elderleaf.
          </p>
          <p>
            What is typed on a page stays there. Each joined browser is seen on its member&rsquo;s account,
            and ended there.
          </p>
        </div>
      }
    >
      <div className="grid gap-5 px-9 py-6 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight">Other pages</h1>
        <p className="text-[15px]">
          The companion is an extension of the browser. It brings cues, blanks and the look-up into mail,
          course boards, chats and record systems.{' '}
          <code className="font-cue text-[13px]">npm run companion</code> builds it; each member joins a
          browser on <em>Your account</em>.
        </p>
        <section aria-label="Pages left alone" className="grid gap-3">
          <h2 className="section-head">Pages left alone</h2>
          <LeftAlone />
        </section>
        <PageCards />
      </div>
    </Figure>
  );
}
