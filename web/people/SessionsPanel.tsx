import { useMutation } from '@tanstack/react-query';
import { call, inWords } from '#client/api';
import { KEYS, queryClient, useOwnSessions } from '../api';
import { instantInWords } from '#client/clock';
import { Button, Failed, Loading, Notice } from '../ui';

const BROWSERS = ['Firefox', 'Edg', 'Chrome', 'Safari'] as const;
const SYSTEMS = ['Windows', 'Android', 'iPhone', 'iPad', 'Mac OS', 'Linux'] as const;

/** A browser as its member knows it, from what it says of itself. */
function browserInWords(agent: string): string {
  const browser = BROWSERS.find((name) => agent.includes(name));
  const system = SYSTEMS.find((name) => agent.includes(name));
  if (!browser) return 'A program';
  return `${browser === 'Edg' ? 'Edge' : browser}${system ? ` on ${system}` : ''}`;
}

/** What a joined browser is called, changed in place. */
function BrowserName({ id, name }: { id: string; name: string }) {
  const rename = useMutation({
    mutationFn: (to: string) => call('nameSession', { params: { session: id }, body: { name: to } }),
    onSettled: () => queryClient.invalidateQueries({ queryKey: KEYS.sessions }),
  });
  const leave = (event: React.FocusEvent<HTMLInputElement>) => {
    const to = event.target.value.trim();
    if (to === '') event.target.value = name;
    else if (to !== name) rename.mutate(to);
  };
  return (
    <>
      <input
        className="input w-full text-[14px]"
        aria-label="Name of this browser"
        defaultValue={name}
        maxLength={60}
        onBlur={leave}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      {rename.error && <Notice tone="warning" title={inWords(rename.error)} />}
    </>
  );
}

/** Where one is signed in, and how to be signed out there. */
export function SessionsPanel() {
  const sessions = useOwnSessions();
  const settled = () => void queryClient.invalidateQueries({ queryKey: KEYS.sessions });
  const end = useMutation({
    mutationFn: (session: string) => call('endSession', { params: { session } }),
    onSettled: settled,
  });
  const endOthers = useMutation({ mutationFn: () => call('endOtherSessions'), onSettled: settled });
  const error = end.error ?? endOthers.error;
  return (
    <section aria-label="Where you are signed in" className="grid gap-2 pt-6">
      <h2 className="section-head">Where you are signed in</h2>
      {sessions.isPending && <Loading what="your sessions" />}
      {sessions.isError && (
        <Failed what="your sessions" error={sessions.error} retry={() => void sessions.refetch()} />
      )}
      <ul>
        {sessions.data?.map(({ id, browser, startedAt, seenAt, current, companion, name }) => (
          <li key={id} className="flex items-baseline gap-3 border-b border-hair py-1.5 text-[14px]">
            <div className="min-w-0 grow">
              {companion ? <BrowserName key={name} id={id} name={name} /> : browserInWords(browser)}
              {current && <strong className="font-semibold"> · here</strong>}
              <span className="block text-[12.5px] text-soft">
                {companion && `The companion in ${browserInWords(browser)}, `}since{' '}
                {instantInWords(startedAt)}, last used about {instantInWords(seenAt)}
              </span>
            </div>
            {!current && (
              <Button look="text" disabled={end.isPending} onClick={() => end.mutate(id)}>
                Sign out there
              </Button>
            )}
          </li>
        ))}
      </ul>
      {error && <Notice tone="warning" title={inWords(error)} />}
      {(sessions.data?.length ?? 0) > 1 && (
        <Button className="justify-self-start" onClick={() => endOthers.mutate()}>
          Sign out everywhere else
        </Button>
      )}
    </section>
  );
}
